<?php

declare(strict_types=1);

namespace Tally\Chain;

use Tally\Quantity\Rate;
use Tally\Value\Inline;

/** The most a link carries: on paper, and (where somebody has figures) in practice. */
final readonly class Ceiling
{
    public CeilingOrigin $origin;

    /**
     * @param  Practice|null  $practice  null where nothing is known but the paper
     * @param  string  $source  where the figures come from
     */
    public function __construct(
        public Rate $nominal,
        #[Inline]
        public ?Practice $practice = null,
        public string $source = 'not told',
        ?CeilingOrigin $origin = null,
    ) {
        $this->origin = $origin ?? ($practice?->high === null ? CeilingOrigin::Standard : CeilingOrigin::Practice);
    }

    public static function measured(Rate $rate, string $source): self
    {
        return new self($rate, new Practice($rate, $rate), $source, CeilingOrigin::Measurement);
    }

    public static function claimed(Rate $rate, string $source): self
    {
        return new self($rate, null, $source, CeilingOrigin::Claim);
    }

    /** The same link with the house's own figure, which wins over practice; what it carries on paper stays. */
    public function measuredAs(Rate $rate, string $source): self
    {
        $low = $this->practice->low ?? $rate;

        return new self(
            $this->nominal->isBelow($rate) ? $rate : $this->nominal,
            new Practice($low->isBelow($rate) ? $low : $rate, $rate),
            $source,
            CeilingOrigin::Measurement,
        );
    }

    /** What to plan with: the high end of practice if there is one. */
    public function usable(): Rate
    {
        return $this->practice->high ?? $this->nominal;
    }

    /** What it gives at the very least, to blame with; null where nobody knows. */
    public function least(): ?Rate
    {
        return $this->practice?->low;
    }

    /** `450 MB/s, practice: USB 3.2 specification, 8b/10b` */
    public function describe(): string
    {
        return "{$this->usable()->print()}, {$this->origin->words()}: {$this->source}";
    }
}
