<?php

declare(strict_types=1);

namespace Tally\Shoot;

use Tally\Quantity\Rate;
use Tally\Reading\Summary;

/** The drains that were logged with one card in one body. */
final readonly class DrainsOfCard
{
    /**
     * @param  non-empty-list<float>  $drains  bytes a second
     * @param  Rate|null  $write  what the card was measured to write; null where it was not
     */
    public function __construct(public array $drains, public ?Rate $write) {}

    public function summary(): Summary
    {
        return Summary::of($this->drains);
    }
}
