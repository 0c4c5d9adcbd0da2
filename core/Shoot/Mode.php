<?php

declare(strict_types=1);

namespace Tally\Shoot;

use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;

/** One way a camera records: what it writes, and what it asks for. */
final readonly class Mode
{
    public FillRate $fill;

    /**
     * @param  Rate  $nominal  what it writes, on paper
     * @param  Bytes|null  $shot  of stills, one of them
     * @param  float|null  $frames  a second
     * @param  Span|null  $clip  how long its takes are at the most; null for however long
     * @param  list<Calibration>  $calibrations
     */
    public function __construct(
        public string $name,
        public ModeKind $kind,
        public Rate $nominal,
        public ?Bytes $shot = null,
        public ?float $frames = null,
        public Demand $demand = new Demand(),
        public Recording $recording = Recording::OneSlot,
        public ?Span $clip = null,
        public array $calibrations = [],
    ) {
        $this->fill = FillRate::of($nominal, $calibrations);
    }

    /** Stills that are taken steadily: so many bytes each, so many a second. */
    public static function stills(string $name, Bytes $shot, float $frames, Demand $demand = new Demand()): self
    {
        return new self($name, ModeKind::Stills, Rate::bytesPerSecond($shot->count * $frames), $shot, $frames, $demand);
    }

    /**
     * Whole shots on a card; null of a mode that takes none.
     *
     * @param  float  $usable  share of the capacity that may be taken
     */
    public function shots(Bytes $capacity, float $usable = 1.0): ?int
    {
        return $this->shot === null || $this->shot->isZero() ? null : (int) floor(($capacity->count * $usable) / $this->shot->count + 1e-9);
    }
}
