<?php

declare(strict_types=1);

namespace Tally\Offload\OneCard;

/** What is possible with the gear at hand, the soonest verified first, and what is not and why. */
final readonly class Routes
{
    /**
     * @param  list<Route>  $ranked
     * @param  list<string>  $leftOut  a sentence for each reader or drive that cannot be used
     */
    public function __construct(public array $ranked, public array $leftOut) {}

    public function best(): ?Route
    {
        return $this->ranked[0] ?? null;
    }
}
