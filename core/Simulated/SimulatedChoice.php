<?php

declare(strict_types=1);

namespace Tally\Simulated;

use Tally\Label\Label;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;

/** The made-up cards on the shelf: each can be had with any label printed on it. */
enum SimulatedChoice: string
{
    case Honest = 'honest';
    case Slow = 'slow';
    case Wraps = 'wraps';
    case Drops = 'drops';
    case Patchy = 'patchy';

    public function words(): string
    {
        return match ($this) {
            self::Honest => 'is what its label says',
            self::Slow => 'full size, but far slower than it says',
            self::Wraps => 'has a quarter of the memory and starts over',
            self::Drops => 'has an eighth of the memory and drops the rest',
            self::Patchy => 'full size, with bad patches',
        };
    }

    public function medium(Label $label, int $seed): Medium
    {
        $floor = $label->topMark()?->floor() ?? Rate::megabytesPerSecond(10);
        $bus = ($label->bus ?? $label->form->usualBus())->ceiling()->usable();
        $write = $label->write->bytesPerSecond ?? 1.4 * $floor->bytesPerSecond;
        $read = $label->readClaim()->bytesPerSecond ?? max($write, 0.9 * $bus->bytesPerSecond);
        $slowness = $this === self::Slow ? 0.4 : 0.96;
        $shown = $label->capacity;

        return new Medium(
            match ($this) {
                self::Honest, self::Slow => Behaviour::Honest,
                self::Wraps => Behaviour::Wraps,
                self::Drops => Behaviour::Drops,
                self::Patchy => Behaviour::Patchy,
            },
            $shown,
            match ($this) {
                self::Wraps => self::sectors(intdiv($shown->count, 4)),
                self::Drops => self::sectors(intdiv($shown->count, 8)),
                default => $shown,
            },
            Rate::bytesPerSecond(max(1e6, $slowness * ($this === self::Slow ? min($write, $floor->bytesPerSecond) : $write))),
            read: Rate::bytesPerSecond(max(1e6, $slowness * $read)),
            patches: $this === self::Patchy ? 7 : 0,
            seed: $seed,
        );
    }

    /** Memory comes in whole sectors. */
    private static function sectors(int $bytes): Bytes
    {
        return Bytes::of(max(512, $bytes - ($bytes % 512)));
    }
}
