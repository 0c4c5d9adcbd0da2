<?php

declare(strict_types=1);

namespace Tally\Reading;

use Tally\Chain\Path;
use Tally\Quantity\Rate;

/** What the runs of one way, writing or reading, say. */
final readonly class WayReading
{
    /** @param  list<Suspicion>  $suspicions */
    private function __construct(
        public Summary $summary,
        public ?Rate $claim,
        public ?Standing $standing,
        public array $suspicions,
    ) {}

    /** @param  non-empty-list<float>  $rates  bytes a second */
    public static function of(array $rates, ?Rate $claim, Path $path, bool $forgot): self
    {
        $summary = Summary::of($rates);
        $median = Rate::bytesPerSecond($summary->median);

        return new self($summary, $claim, $claim === null ? null : Standing::of($median, $claim, $path), Suspicion::of($summary, $path, $forgot));
    }

    public function median(): Rate
    {
        return Rate::bytesPerSecond($this->summary->median);
    }

    public function isTrusted(): bool
    {
        return $this->suspicions === [];
    }

    /** Share of the claim that was reached. */
    public function share(): ?float
    {
        return $this->claim === null ? null : $this->median()->over($this->claim);
    }
}
