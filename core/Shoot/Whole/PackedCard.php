<?php

declare(strict_types=1);

namespace Tally\Shoot\Whole;

use Tally\Shoot\FitCard;

/** A card in its place, in the order it is used. */
final readonly class PackedCard
{
    /**
     * @param  int  $count  minutes or shots that it holds there
     * @param  string  $words  said beside it, such as `Unproven`; empty where there is nothing to say
     */
    public function __construct(public FitCard $card, public string $slot, public int $count, public string $words) {}
}
