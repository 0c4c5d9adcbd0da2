<?php

declare(strict_types=1);

namespace Tally\Chain;

use Tally\Quantity\Rate;

/** The most a link carries: on paper, and (where the trade has a figure) in practice. */
final readonly class Ceiling
{
    /**
     * @param  Rate|null  $practical  the upper end of what people see; null when nobody has published a figure
     * @param  string  $source  where the figures come from
     */
    public function __construct(public Rate $nominal, public ?Rate $practical, public string $source) {}

    public static function measured(Rate $rate, string $source): self
    {
        return new self($rate, $rate, $source);
    }

    /** What to plan with: the practical figure if there is one. */
    public function usable(): Rate
    {
        return $this->practical ?? $this->nominal;
    }
}
