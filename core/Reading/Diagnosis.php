<?php

declare(strict_types=1);

namespace Tally\Reading;

use Tally\Pattern\BlockClass;
use Tally\Pattern\Imprint;
use Tally\Probe\CoreSample;
use Tally\Quantity\Bytes;

/** What a core sample means: how much the medium truly has, and whether it lies or is ill. */
final readonly class Diagnosis
{
    /**
     * @param  Bytes  $capacity  true usable bytes: the lap of a card that wraps, the first bad offset of one that drops, else what holds
     * @param  int|null  $wrap  the lap in bytes
     */
    public function __construct(public Condition $condition, public Bytes $capacity, public ?int $wrap) {}

    public static function of(CoreSample $core): self
    {
        $holds = $core->bytes(BlockClass::Holds);

        return match (true) {
            $core->covered() === 0 => new self(Condition::Unknown, Bytes::of(0), null),
            $core->bad() === 0 => new self(Condition::Whole, Bytes::of($holds), null),
            self::wraps($core) => new self(Condition::Wraps, Bytes::of((int) $core->lap()), $core->lap()),
            self::drops($core) => new self(Condition::Drops, Bytes::of((int) $core->firstBad()), null),
            default => new self(Condition::Faulty, Bytes::of($holds), null),
        };
    }

    /**
     * On a medium that wraps, the last lap holds and all the rest echoes: what holds is as long as the lap. Both sums are
     * allowed a little, for a medium that also has bad spots.
     */
    private static function wraps(CoreSample $core): bool
    {
        $lap = $core->lap();
        $slack = max(2 * Imprint::BLOCK, intdiv($core->covered(), 100));

        return $lap !== null
            && $core->bytes(BlockClass::Echoes) >= 0.9 * $core->bad()
            && abs($core->bytes(BlockClass::Holds) - $lap) <= $slack;
    }

    /** From the first bad byte on, next to nothing holds, to the very end. */
    private static function drops(CoreSample $core): bool
    {
        $after = $core->covered() - (int) $core->firstBad();

        return $core->bad() >= 0.95 * $after && $core->lastBadEnd() === $core->covered() && $after >= 0.01 * $core->covered();
    }
}
