<?php

declare(strict_types=1);

namespace Tally\Chain;

use Tally\Quantity\Rate;

/** The most a link carries: on paper, and (where somebody has a figure) in practice. */
final readonly class Ceiling
{
    public CeilingOrigin $origin;

    /**
     * @param  Rate|null  $practical  the upper end of what people see; null when nobody has published a figure
     * @param  string  $source  where the figures come from
     */
    public function __construct(public Rate $nominal, public ?Rate $practical, public string $source, ?CeilingOrigin $origin = null)
    {
        $this->origin = $origin ?? ($practical === null ? CeilingOrigin::Standard : CeilingOrigin::Practice);
    }

    public static function measured(Rate $rate, string $source): self
    {
        return new self($rate, $rate, $source, CeilingOrigin::Measurement);
    }

    public static function claimed(Rate $rate, string $source): self
    {
        return new self($rate, null, $source, CeilingOrigin::Claim);
    }

    /** The same link with the house's own figure, which wins over practice; what it carries on paper stays. */
    public function measuredAs(Rate $rate, string $source): self
    {
        return new self($this->nominal->isBelow($rate) ? $rate : $this->nominal, $rate, $source, CeilingOrigin::Measurement);
    }

    /** What to plan with: the practical figure if there is one. */
    public function usable(): Rate
    {
        return $this->practical ?? $this->nominal;
    }

    /** `450 MB/s, practice: USB 3.2 specification, 8b/10b` */
    public function describe(): string
    {
        return "{$this->usable()->print()}, {$this->origin->value}: {$this->source}";
    }
}
