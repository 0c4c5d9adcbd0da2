<?php

declare(strict_types=1);

namespace Tally\Reading;

use Tally\Chain\Path;
use Tally\Quantity\Rate;

/** What the runs of one way, writing or reading, say. */
final readonly class WayReading
{
    /**
     * @param  list<Suspicion>  $suspicions
     * @param  list<int>  $outliers  which of the runs lie apart, from 0: they count, and are told of
     */
    private function __construct(
        public Summary $summary,
        public ?Rate $claim,
        public ?Standing $standing,
        public array $suspicions,
        public array $outliers,
    ) {}

    /** @param  non-empty-list<float>  $rates  bytes a second */
    public static function of(array $rates, ?Rate $claim, Path $path, bool $forgot, bool $disagrees = false): self
    {
        $summary = Summary::of($rates);
        $median = Rate::bytesPerSecond($summary->median);

        return new self($summary, $claim, $claim === null ? null : Standing::of($median, $claim, $path), Suspicion::of($summary, $path, $forgot, $disagrees), Outliers::among($rates));
    }

    public function median(): Rate
    {
        return Rate::bytesPerSecond($this->summary->median);
    }

    public function isTrusted(): bool
    {
        return $this->suspicions === [];
    }

    /** Which runs lie apart, in words; empty when none does. */
    public function apart(): string
    {
        $runs = implode(' and ', array_map(fn (int $i): string => (string) ($i + 1), $this->outliers));

        return match (count($this->outliers)) {
            0 => '',
            1 => "run {$runs} lies apart from the others and is counted",
            default => "runs {$runs} lie apart from the others and are counted",
        };
    }

    /** Share of the claim that was reached. */
    public function share(): ?float
    {
        return $this->claim === null ? null : $this->median()->over($this->claim);
    }
}
