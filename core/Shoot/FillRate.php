<?php

declare(strict_types=1);

namespace Tally\Shoot;

use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;
use Tally\Reading\Summary;

/** How fast a mode fills a card: by its calibrations, else on paper. */
final readonly class FillRate
{
    /**
     * @param  int  $calibrations  that it is the fullest of; 0: it is the rate on paper
     * @param  float|null  $spread  sample standard deviation of them, bytes a second; null of one or none
     */
    private function __construct(public Rate $rate, public int $calibrations, public ?float $spread) {}

    /** @param  list<Calibration>  $calibrations */
    public static function of(Rate $nominal, array $calibrations): self
    {
        if ($calibrations === []) {
            return new self($nominal, 0, null);
        }
        $summary = Summary::of(array_map(fn (Calibration $one): float => $one->rate->bytesPerSecond, $calibrations));

        // The one that fills the card soonest is what to count on.
        return new self(Rate::bytesPerSecond($summary->most), $summary->count, $summary->deviation);
    }

    public function isCalibrated(): bool
    {
        return $this->calibrations > 0;
    }

    /**
     * Minutes on a card = capacity × usable share ÷ rate. Handbook § 7.
     *
     * @param  float  $usable  share of the capacity that a recording may take
     */
    public function lasts(Bytes $capacity, float $usable = 1.0): Span
    {
        return Span::seconds(($capacity->count * $usable) / $this->rate->bytesPerSecond);
    }

    /** Whole minutes that fit: cut, never rounded up. Handbook § 6 rule 12. */
    public function minutes(Bytes $capacity, float $usable = 1.0): int
    {
        // A hair's breadth is for rates that come of whole minutes.
        return (int) floor($this->lasts($capacity, $usable)->seconds / 60 + 1e-6);
    }

    /** Where it comes from, in a few words. */
    public function words(): string
    {
        return match (true) {
            $this->calibrations === 0 => 'on paper',
            $this->spread === null => 'calibrated once',
            default => sprintf('the fullest of %d calibrations, ± %.1f Mb/s', $this->calibrations, ($this->spread * 8) / 1e6),
        };
    }
}
