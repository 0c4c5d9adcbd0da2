<?php

declare(strict_types=1);

namespace Tally\Offload\Reckon;

use Tally\Offload\Question\Scheme;

/** Where one card goes, and how it is copied. */
final readonly class Placement
{
    /**
     * @param  int  $card  its place in the question
     * @param  int  $slot  of the network
     * @param  list<int>  $drives  for each copy; the first is the one that a relay reads from
     */
    public function __construct(public int $card, public int $slot, public array $drives, public Scheme $scheme) {}
}
