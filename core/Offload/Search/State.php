<?php

declare(strict_types=1);

namespace Tally\Offload\Search;

use Tally\Offload\Question\Scheme;
use Tally\Offload\Reckon\Placement;

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

    /**
     * @param  array<string, string>  $links
     * @param  list<Placement>  $placements
     * @param  int  $copies  of each card; what a placement has more is dropped
     */
    public static function of(array $links, array $placements, int $copies): self
    {
        $order = $slots = $ways = [];
        foreach ($placements as $placement) {
            $order[] = $placement->card;
            $slots[$placement->card] = $placement->slot;
            $ways[$placement->card] = [$copies === 1 ? Scheme::Straight : $placement->scheme, array_slice($placement->drives, 0, $copies)];
        }

        return new self($links, $order, $slots, $ways);
    }

    /** Something into a port; what is in that one takes the port that it leaves, if it was in any. */
    public function plug(string $thing, string $port): void
    {
        $before = $this->links[$thing] ?? null;
        $there = array_search($port, $this->links, true);
        if ($there !== false) {
            unset($this->links[$there]);
            if ($before !== null) {
                $this->links[$there] = $before;
            }
        }
        $this->links[$thing] = $port;
    }
}
