<?php

declare(strict_types=1);

namespace Tally\Probe;

use Tally\Pattern\TestPattern;
use Tally\Quantity\Bytes;
use Tally\Quantity\Span;
use Tally\Value\Key;

/** How a speed run goes about it. */
final readonly class SpeedPlan
{
    public const MOST_RUNS = 50;

    public const MOST_WARM_UPS = 5;

    /** No pause is longer than an hour. */
    public const LONGEST_PAUSE = 3600;

    /**
     * @param  Bytes  $region  how much to write and read each time
     * @param  Bytes  $from  where that begins on the medium
     * @param  Bytes|null  $block  how much is moved in one call: whole seals of the pattern, and a whole number of them to the file of a
     *                             folder; null for what suits the medium
     * @param  int  $warmUps  runs before the others that are not counted
     * @param  Span  $pause  after each run, to cool
     *
     * @throws UnusablePlan with the part, and a sentence
     */
    public function __construct(
        #[Key('size')]
        public Bytes $region,
        public int $runs = 1,
        public Bytes $from = new Bytes(0),
        public ?Bytes $block = null,
        public PassOrder $order = PassOrder::Alternating,
        public int $warmUps = 0,
        public Span $pause = new Span(0),
    ) {
        $blocks = array_map(fn (int $power): int => TestPattern::BLOCK << $power, range(0, 6));
        $wrong = match (true) {
            $region->isZero() => [PlanPart::Size, 'A speed run writes some bytes; 0 B were given.'],
            $runs < 1 || $runs > self::MOST_RUNS => [PlanPart::Runs, "A speed run has 1 to 50 runs; {$runs} were given."],
            $from->count % TestPattern::BLOCK !== 0 => [PlanPart::From, "A region begins at a whole MiB; {$from->exact()} was given."],
            $block !== null && ! in_array($block->count, $blocks, true) => [
                PlanPart::Block,
                "A block is 1, 2, 4, 8, 16, 32 or 64 MiB; {$block->exact()} was given.",
            ],
            $warmUps < 0 || $warmUps > self::MOST_WARM_UPS => [PlanPart::WarmUps, "There are 0 to 5 warm-up runs; {$warmUps} were given."],
            $pause->seconds > self::LONGEST_PAUSE => [PlanPart::Pause, "A pause is an hour at most; {$pause->print()} was given."],
            default => null,
        };
        if ($wrong !== null) {
            throw UnusablePlan::because(...$wrong);
        }
    }

    /** From the start, one after the other, without a pause. */
    public static function plain(Bytes $region, int $runs = 5): self
    {
        return new self($region, $runs);
    }

    /** How much is moved in all, one way: warm-ups too. */
    public function passages(): int
    {
        return $this->runs + $this->warmUps;
    }

    /** @return string `first 1 GB`, `1 GB from 16 GB on`: how it is said of a number which region it covers */
    public static function covering(Bytes $region, Bytes $from): string
    {
        if ($region->isZero()) {
            return 'region not told';
        }

        return $from->isZero() ? "first {$region->decimal()}" : "{$region->decimal()} from {$from->decimal()} on";
    }
}
