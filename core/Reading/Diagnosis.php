<?php

declare(strict_types=1);

namespace Tally\Reading;

use Tally\Pattern\Appraiser;
use Tally\Pattern\BlockClass;
use Tally\Pattern\Patch;
use Tally\Pattern\TestPattern;
use Tally\Quantity\Bytes;

/** What a core sample means: how much the medium truly has, and whether it lies or is ill. */
final readonly class Diagnosis
{
    /** A lap this many times smaller than the part before it is a scratch block. */
    private const SCRATCH = 1000;

    /** Share of what came from elsewhere that one lap must explain. */
    private const ONE_LAP = 0.9;

    /** So much old data behind an end shows that memory is there. */
    private const OLD = 0.01;

    /** What holds lies before the end of a medium that ends, but for so much. */
    private const AN_END = 0.9;

    /**
     * @param  Bytes  $capacity  true usable bytes: where the last lap of a card that wraps ends in its memory, the first bad
     * offset of one that drops, else what holds
     * @param  int|null  $wrap  the lap in bytes
     * @param  int|null  $wrapFrom  the first address that is written over from further on
     * @param  bool  $exact  false where the capacity is an estimate
     * @param  list<string>  $also  what else is wrong with it, in sentences
     */
    public function __construct(
        public Condition $condition,
        public Bytes $capacity = new Bytes(0),
        public ?int $wrap = null,
        public ?int $wrapFrom = null,
        public bool $exact = true,
        public array $also = [],
    ) {}

    /** What was found by asking single places. */
    public static function found(Condition $condition, Bytes $capacity, ?int $wrap, ?int $wrapFrom, bool $exact = true): self
    {
        return new self($condition, $capacity, $wrap, $wrapFrom, exact: $exact);
    }

    /**
     * A medium that starts over, or one that has a single scratch block for all that it cannot keep.
     *
     * @param  list<string>  $also
     */
    public static function repeating(int $lap, int $from, bool $exact = true, array $also = []): self
    {
        return self::SCRATCH * $lap < $from
            ? new self(Condition::Drops, Bytes::of($from), null, null, exact: $exact, also: [
                'All that is written behind it goes into one place of '.Bytes::of($lap)->decimal().'.',
                ...$also,
            ])
            : new self(Condition::Wraps, Bytes::of($from + $lap), $lap, $from, exact: $exact, also: $also);
    }

    /**
     * @param  Bytes|null  $size  how much there was to read back; null where all of it was
     * @param  Bytes|null  $medium  how much the medium has, where only a part of it was to be read back
     */
    public static function of(BlockMap $core, ?Bytes $size = null, ?Bytes $medium = null): self
    {
        $holds = Bytes::of($core->bytes(BlockClass::Holds));
        $whole = $size === null || $core->covered() >= $size->count;
        $toTheEnd = $whole && ($medium === null || $core->covered() >= $medium->count);

        return match (true) {
            $core->covered() === 0 => new self(Condition::Unknown, Bytes::of(0), null),
            $core->bad() === 0 => new self(Condition::Whole, $holds, null),
            default => self::wraps($core, $whole) ??
                (self::aliases($core, $whole) ??
                    (self::ends($core, $toTheEnd) ??
                        new self(
                            Condition::Faulty,
                            $holds,
                            null,
                            also: [
                                ...Spread::of($core)->sentences(),
                                ...self::isMuch($core->bad(), $core->covered())
                                    ? [
                                        'So much of it is bad that it is of no use at its size: dying, or a fake of a kind that is '.
                                        'not told apart here.',
                                    ]
                                    : [],
                            ],
                        ))),
        };
    }

    /** Whether so much is bad that what holds is less than a card of its size has: house rule. */
    public static function isMuch(int $bad, int $covered): bool
    {
        return $bad > 0.07 * $covered;
    }

    public function nature(): Nature
    {
        return $this->condition->nature();
    }

    /**
     * On a medium that wraps, the last lap holds and all before it echoes, from the first address that is written over; so
     * what holds is as long as the spared part and one lap. On one whose first lap stays, what is behind it echoes. Both
     * sums are allowed a little, for a medium that also has bad spots.
     */
    private static function wraps(BlockMap $core, bool $whole): ?self
    {
        [$lap, $from, $echoes] = [$core->lap(), $core->firstEcho(), $core->bytes(BlockClass::Echoes)];
        if ($lap === null || $from === null || $echoes < 0.2 * $core->bad() || $core->inLaps() < self::ONE_LAP * $echoes) {
            return null;
        }
        $holds = $core->bytes(BlockClass::Holds);
        $expected = $core->laterWins() ? $from + $lap : $from;
        // A misplaced block near the end is no lap: it would have to be half of what that lap foretells.
        $slack = min(max(2 * TestPattern::BLOCK, intdiv($core->covered(), 100)), intdiv(max(0, $core->covered() - $expected), 2));
        // A reading that was broken off has not come to the lap that holds.
        $fits = $whole ? $holds <= $expected + $slack && $holds >= 0.5 * $expected - $slack : $echoes >= 0.9 * $core->bad();
        if (! $fits) {
            return null;
        }
        $other = $core->bad() - $echoes;

        return self::repeating(
            $lap,
            $core->laterWins() ? $from : $from - $lap,
            $whole,
            $other === 0
                ? []
                : [
                    Bytes::of($other)->decimal().
                    ' of it came back wrong in another way: it starts over and is also faulty, or it drops part of what it is given.',
                ],
        );
    }

    /** What comes back belongs to other addresses, but not in laps: what is left of the size is what holds. */
    private static function aliases(BlockMap $core, bool $whole): ?self
    {
        if (! $whole || ! self::isMuch($core->bad(), $core->covered()) || 2 * $core->bytes(BlockClass::Echoes) < $core->bad()) {
            return null;
        }
        $end = self::ends($core, true);
        if ($end !== null && $end->capacity->count >= self::AN_END * $core->bytes(BlockClass::Holds)) {
            return null;
        }
        $step = $core->lap() ?? 0;

        return new self(
            Condition::Aliases,
            Bytes::of($core->bytes(BlockClass::Holds)),
            null,
            also: $step < Appraiser::SECTOR || $core->inLaps() < self::ONE_LAP * $core->bytes(BlockClass::Echoes)
                ? []
                : ['All distances between what was asked for and what came are multiples of '.Bytes::of($step)->decimal().'.'],
        );
    }

    /**
     * Up to one address next to everything holds, from there on next to nothing, but for what a cache may answer at the very
     * end. Only where that is the end of the medium is it an end: in a part it is a bad spot.
     */
    private static function ends(BlockMap $core, bool $toTheEnd): ?self
    {
        [$edge, $badBefore, $badBehind] = self::edge($core);
        $behind = $core->covered() - $edge;
        $inBetween = $core->lastBadEnd() - $edge;
        if (
            ! $toTheEnd ||
            $behind < 0.01 * $core->covered() ||
            $badBehind < 0.9 * $inBetween ||
            2 * $badBehind < $behind ||
            $badBefore > 0.05 * max(1, $edge)
        ) {
            return null;
        }
        $also = [];
        if ($badBefore > 0) {
            $also[] = Bytes::of($badBefore)->decimal().' of the part it has came back wrong too: it is also faulty.';
        }
        $answered = $behind - $badBehind;
        if ($answered >= TestPattern::BLOCK) {
            $also[] =
                Bytes::of($answered)->decimal().
                ' behind its end came back right: from a cache inside it, or from memory that it has there. Take it out, put it '.
                'back and read it again; what a cache held is gone then.';
        }

        return new self(self::ending($core->patches(), $edge), Bytes::of($edge), null, also: $also);
    }

    /**
     * How a medium ends, by what came back from behind its end. Handbook § 6 rule 2; how much of a kind makes one is a house rule.
     *
     * @param  list<Patch>  $patches  in order
     */
    private static function ending(array $patches, int $edge): Condition
    {
        $silent = 0;
        $of = array_fill_keys(array_map(fn (BlockClass $class): string => $class->value, BlockClass::cases()), 0);
        foreach ($patches as $patch) {
            if ($patch->offset >= $edge && $patch->class !== BlockClass::Holds) {
                $of[$patch->class->value] += $patch->length;
                // Behind the first error nothing tells anything: a controller that hangs blanks or fails every later access.
                $silent += $of[BlockClass::Unreadable->value] === 0 ? $patch->length : 0;
            }
        }
        $bad = array_sum($of);

        return match (true) {
            2 * $silent < $bad => Condition::Refuses,
            $of[BlockClass::Stale->value] > self::OLD * $bad => Condition::KeepsOld,
            $edge === 0 => Condition::KeepsNothing,
            2 * $of[BlockClass::Scrambled->value] > $bad => Condition::Corrupts,
            default => Condition::Drops,
        };
    }

    /**
     * The same, of a record that was kept when less was told apart.
     *
     * @param  list<Patch>  $patches  of it
     */
    public function toldAnew(array $patches): self
    {
        $ends = [Condition::Drops, Condition::Corrupts, Condition::Refuses];
        $lost = array_filter($patches, fn (Patch $patch): bool => $patch->class !== BlockClass::Holds);
        // What refused to take more lost nothing.
        if ($lost === [] || ! in_array($this->condition, $ends, true) || ! $this->exact) {
            return $this;
        }

        return new self(self::ending($patches, $this->capacity->count), $this->capacity, null, also: $this->also);
    }

    /** @return array{int, int, int} the address that parts good from bad best, bad bytes before it, bad bytes behind it */
    private static function edge(BlockMap $core): array
    {
        [$bad, $good] = [0, 0];
        [$edge, $least, $before] = [0, PHP_INT_MAX, 0];
        $holds = $core->bytes(BlockClass::Holds);
        foreach ($core->patches() as $patch) {
            // Were this the edge, the bad before it and the good behind it would be in the wrong place.
            if ($patch->class !== BlockClass::Holds && $bad + $holds - $good < $least) {
                [$edge, $least, $before] = [$patch->offset, $bad + $holds - $good, $bad];
            }
            $patch->class === BlockClass::Holds ? ($good += $patch->length) : ($bad += $patch->length);
        }

        return [$edge, $before, $bad - $before];
    }
}
