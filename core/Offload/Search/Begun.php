<?php

declare(strict_types=1);

namespace Tally\Offload\Search;

use Tally\Offload\PlacedCard;
use Tally\Offload\Question\LadenCard;
use Tally\Offload\Reckon\SoFar;

/** What is under way already while the rest is planned: its load goes on beside whatever is decided for the others. */
final readonly class Begun
{
    /**
     * @param  list<LadenCard>  $laden  the cards that are in, or were
     * @param  list<PlacedCard>  $placed  where each of them is, in the order in which hands served them
     * @param  SoFar  $soFar  since when, by their places in that order
     */
    public function __construct(public array $laden, public array $placed, public SoFar $soFar) {}
}
