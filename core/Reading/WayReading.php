<?php

declare(strict_types=1);

namespace Tally\Reading;

use Closure;
use Tally\Quantity\Rate;

/** What the runs of one way, writing or reading, say. */
final readonly class WayReading
{
    /** Runs of the same test that differ more than this on a quiet card are not of one thing: common practice, no source. */
    private const UNEVEN = 1.5;

    /** Of so many readings one that lies apart is left out: handbook § 6 rule 9. */
    private const ONE_OF = 5;

    /**
     * @param  Summary  $summary  of the readings that are not left out
     * @param  Standing|null  $standing  how it stands to the claim, if there is one
     * @param  list<Suspicion>  $suspicions
     * @param  list<int>  $outliers  which of the runs lie apart, from 0
     * @param  bool  $isLeftOut  whether those are left out of the summary: one of five is
     */
    private function __construct(
        public Summary $summary,
        public ?Rate $claim,
        public ?Standing $standing,
        public array $suspicions,
        public array $outliers,
        public bool $isLeftOut,
        public ?TypedSlip $slip,
    ) {}

    /**
     * @param  non-empty-list<float>  $rates  bytes a second
     * @param  Rate|null  $claim  what the label promises of this way
     * @param  Rate  $paper  the most that card and chain carry on paper
     * @param  bool  $forgot  whether the host was made to forget before reading (true for writing, which ends with a flush)
     * @param  bool  $disagrees  whether size, time and speed were all typed and do not go together
     * @param  (Closure(Rate): (TypedSlip|null))|null  $slipOf  of figures that somebody typed: the slip that explains one
     * @param  (callable(Rate, Rate): bool)|null  $isTheCards  whether a figure that falls short of a claim is the card's doing
     */
    public static function of(
        array $rates,
        ?Rate $claim,
        Rate $paper,
        bool $forgot,
        bool $disagrees,
        ?Closure $slipOf,
        ?callable $isTheCards,
        Thresholds $by = new Thresholds(),
    ): self {
        $outliers = Outliers::among($rates);
        $isLeftOut = $outliers !== [] && count($outliers) <= intdiv(count($rates), self::ONE_OF);
        $kept = $isLeftOut ? array_values(array_diff_key($rates, array_flip($outliers))) : $rates;
        $summary = Summary::of($kept);
        $median = Rate::bytesPerSecond($summary->median);
        $slip = $slipOf === null ? null : $slipOf($median);
        $suspicions = array_values(
            array_filter([
                $paper->isBelow(Rate::bytesPerSecond($summary->most)) ? Suspicion::FasterThanPaper : null,
                $slip !== null ? Suspicion::Slipped : null,
                $forgot ? null : Suspicion::NotForgotten,
                $disagrees ? Suspicion::Disagrees : null,
                $summary->least > 0 && $summary->most / $summary->least > self::UNEVEN ? Suspicion::Uneven : null,
            ]),
        );
        $isItsOwn = fn (): bool => $isTheCards === null || ($claim !== null && $isTheCards($median, $claim));
        $standing = $claim === null ? null : Standing::of($median, $claim, $isItsOwn, $by);

        return new self($summary, $claim, $standing, $suspicions, outliers: $outliers, isLeftOut: $isLeftOut, slip: $slip);
    }

    public function median(): Rate
    {
        return Rate::bytesPerSecond($this->summary->median);
    }

    public function most(): Rate
    {
        return Rate::bytesPerSecond($this->summary->most);
    }

    public function isTrusted(): bool
    {
        return $this->suspicions === [];
    }

    /** Whether nothing in it may enter a verdict. Of uneven runs, what every one of them says still does. */
    public function isStruck(): bool
    {
        return array_filter($this->suspicions, fn (Suspicion $one): bool => $one !== Suspicion::Uneven) !== [];
    }

    /** Which runs lie apart, in words; empty when none does. */
    public function apart(): string
    {
        $runs = implode(' and ', array_map(fn (int $i): string => (string) ($i + 1), $this->outliers));
        $fate = $this->isLeftOut ? 'left out' : 'counted';

        return match (count($this->outliers)) {
            0 => '',
            1 => "run {$runs} lies apart from the others and is {$fate}",
            default => "runs {$runs} lie apart from the others and are {$fate}",
        };
    }

    /** Share of the claim that was reached. */
    public function share(): ?float
    {
        return $this->claim === null ? null : $this->median()->over($this->claim);
    }

    /** Why it is struck out or doubted, in words; empty when it is trusted. */
    public function why(): string
    {
        return implode(
            '; ',
            array_map(
                fn (Suspicion $one): string => $one === Suspicion::Slipped && $this->slip !== null
                    ? $this->slip->sentence()
                    : $one->sentence(),
                $this->suspicions,
            ),
        );
    }
}
