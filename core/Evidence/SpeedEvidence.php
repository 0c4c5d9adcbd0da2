<?php

declare(strict_types=1);

namespace Tally\Evidence;

use Closure;
use Tally\Label\Label;
use Tally\Measured\Chain;
use Tally\Measured\Reached;
use Tally\Measured\Way;
use Tally\Quantity\Rate;
use Tally\Reading\Thresholds;
use Tally\Record\SpeedRecord;

/** A speed run that counts. */
final readonly class SpeedEvidence
{
    public function __construct(public Source $source, public Chain $chain, public SpeedRecord $record) {}

    /** Fewer readings are a single look, and shorter ones measure waiting: handbook § 6 rule 9. */
    private const READINGS = 3;

    private const LEAST = 100_000_000;

    /**
     * @param  list<Reached>|(Closure(): list<Reached>)  $reached  what the house saw its readers carry
     * @param  array<string, list<Rate>>  $seen  by way, what a device saw the same card do
     */
    public function reading(
        Label $label,
        array|Closure $reached = [],
        Thresholds $by = new Thresholds(),
        array $seen = [],
    ): SpeedReading {
        return SpeedReading::of($this->record, $this->chain, $label, $this->source->isTyped, reached: $reached, by: $by, seen: $seen);
    }

    /** Whether it is more than a look: only then does it speak against a card. */
    public function settles(Way $way): bool
    {
        $readings = count($way === Way::Write ? $this->record->writes : $this->record->reads);
        // Of typed ones nobody may have told how much was moved.
        $isShort = ! $this->record->region->isZero() && $this->record->region->count < self::LEAST;

        return $readings >= self::READINGS && ! $isShort;
    }

    public function describe(): string
    {
        return "{$this->source->describe()}, {$this->record->covers()}, {$this->chain->describe()}";
    }
}
