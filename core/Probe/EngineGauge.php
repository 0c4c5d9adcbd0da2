<?php

declare(strict_types=1);

namespace Tally\Probe;

use RuntimeException;
use Tally\Device\Clock;
use Tally\Device\Device;
use Tally\Device\Fault\DeviceFault;
use Tally\Device\FolderDevice;
use Tally\Device\HeldFolder;
use Tally\Device\HostClock;
use Tally\Pattern\Appraiser;
use Tally\Pattern\BlockClass;
use Tally\Pattern\Imprint;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;

/** How fast the probes' own engine writes its pattern and checks it, where no card holds it back. */
final readonly class EngineGauge
{
    /** The best of so many: what else the machine does only ever takes away. */
    private const ROUNDS = 3;

    private const SIZE = 268_435_456;

    /** @return array{write: float, verify: float} seconds */
    public static function on(Device $device, Bytes $size, Clock $clock): array
    {
        $imprint = Imprint::random($size);
        $began = $clock->now();
        for ($offset = 0; $offset < $size->count; $offset += Imprint::BLOCK) {
            $device->write($offset, $imprint->stretch($offset, Imprint::BLOCK));
        }
        $device->settle();
        $write = $clock->now() - $began;
        $device->forget();
        $appraiser = new Appraiser($imprint);
        $began = $clock->now();
        for ($offset = 0; $offset < $size->count; $offset += Imprint::BLOCK) {
            foreach ($appraiser->appraise($device->read($offset, Imprint::BLOCK), $offset) as $patch) {
                $patch->class === BlockClass::Holds || throw new RuntimeException("The pattern did not hold at byte {$offset}.");
            }
        }

        return ['write' => $write, 'verify' => $clock->now() - $began];
    }

    /** @return array{write: Rate, read: Rate}|null null where there is no memory to write to */
    public static function onMemory(string $folder = '/dev/shm'): ?array
    {
        $size = Bytes::of(intdiv(self::SIZE, Imprint::BLOCK) * Imprint::BLOCK);
        $best = ['write' => INF, 'verify' => INF];
        try {
            for ($round = 0; $round < self::ROUNDS; $round++) {
                $device = FolderDevice::open(HeldFolder::at($folder), $size);
                try {
                    foreach (self::on($device, $size, new HostClock()) as $way => $seconds) {
                        $best[$way] = min($best[$way], $seconds);
                    }
                } finally {
                    $device->close();
                }
            }
        } catch (DeviceFault) {
            return null;
        }
        $rate = fn (float $seconds): Rate => Rate::ofTransfer($size, Span::seconds(max(1e-6, $seconds)));

        return ['write' => $rate($best['write']), 'read' => $rate($best['verify'])];
    }
}
