<?php

declare(strict_types=1);

namespace Tally\Offload\Search;

use Tally\Offload\Question\Scheme;

/** A decision while it is searched for. Cards, slots and drives are numbers of the sorted question. */
final class State
{
    /**
     * @param  array<string, string>  $links  reader or drive → “host port”
     * @param  list<int>  $order  cards, as hands serve them
     * @param  array<int, int>  $slots  card → slot
     * @param  array<int, array{Scheme, list<int>}>  $ways  card → how, and onto which drives
     */
    public function __construct(public array $links, public array $order, public array $slots, public array $ways) {}
}
