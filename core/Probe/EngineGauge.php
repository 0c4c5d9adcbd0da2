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
use Tally\Pattern\TestPattern;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;

/** How fast the probes' own engine writes its pattern and checks it, where no card holds it back. */
final readonly class EngineGauge
{
    /** The best of so many: what else the machine does only ever takes away. */
    private const ROUNDS = 4;

    private const SIZE = 402_653_184;

    /** Of them, what is written before the clock starts, until the process beside has begun. */
    private const WARM = 134_217_728;

    private const WARM_SECONDS = 0.5;

    /**
     * @param  int  $from  where to begin, in bytes, after what is before was written for a while
     * @param  int  $block  how much is moved in one call, in bytes
     * @return array{write: float, verify: float} seconds
     */
    public static function on(Device $device, Bytes $size, Clock $clock, int $from = 0, int $block = TestPattern::BLOCK): array
    {
        $imprint = TestPattern::random($size);
        $until = $clock->now() + ($from > 0 ? self::WARM_SECONDS : 0);
        for ($offset = 0; $clock->now() < $until; $offset = ($offset + $block) % $from) {
            $device->write($offset, $imprint->stretch($offset, $block));
        }
        $began = $clock->now();
        for ($offset = $from; $offset < $size->count; $offset += $block) {
            $device->write($offset, $imprint->stretch($offset, $block));
        }
        $device->settle();
        $write = $clock->now() - $began;
        $device->forget();
        $appraiser = new Appraiser($imprint);
        $began = $clock->now();
        for ($offset = $from; $offset < $size->count; $offset += $block) {
            foreach ($appraiser->appraise($device->read($offset, $block), $offset) as $patch) {
                $patch->class === BlockClass::Holds || throw new RuntimeException("The pattern did not hold at byte {$offset}.");
            }
        }

        return ['write' => $write, 'verify' => $clock->now() - $began];
    }

    /**
     * @param  int  $block  how much is moved in one call, in bytes
     * @return array{write: Rate, read: Rate}|null null where there is no memory to write to
     */
    public static function onMemory(int $block = TestPattern::BLOCK, string $folder = '/dev/shm'): ?array
    {
        $size = Bytes::of(self::SIZE);
        $best = ['write' => INF, 'verify' => INF];
        // A folder of its own: another bench of this machine may be measured just now.
        $own = "{$folder}/gritty-tally-".bin2hex(random_bytes(6));
        if (! @mkdir($own, 0700)) {
            return null;
        }
        try {
            for ($round = 0; $round < self::ROUNDS; $round++) {
                $device = FolderDevice::open(HeldFolder::at($own), $size);
                try {
                    foreach (self::on($device, $size, new HostClock(), self::WARM, block: $block) as $way => $seconds) {
                        $best[$way] = min($best[$way], $seconds);
                    }
                } finally {
                    $device->close();
                }
            }
        } catch (DeviceFault) {
            return null;
        } finally {
            @rmdir($own);
        }
        $rate = fn (float $seconds): Rate => Rate::ofTransfer(Bytes::of(self::SIZE - self::WARM), Span::seconds(max(1e-6, $seconds)));

        return ['write' => $rate($best['write']), 'read' => $rate($best['verify'])];
    }
}
