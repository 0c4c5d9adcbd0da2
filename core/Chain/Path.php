<?php

declare(strict_types=1);

namespace Tally\Chain;

use InvalidArgumentException;
use Tally\Quantity\Rate;

/** The links that data passes, in order, from the card to the host or on to a drive. It is as fast as its slowest link. */
final readonly class Path
{
    /** @var non-empty-list<Link> */
    public array $links;

    /** @param  list<Link>  $links */
    public function __construct(array $links)
    {
        $this->links = $links === [] ? throw new InvalidArgumentException('A path needs at least one link.') : $links;
    }

    /** The link whose usable rate is lowest; the first of equals, since the data meets it first. */
    public function pinch(): Link
    {
        $pinch = $this->links[0];
        foreach ($this->links as $link) {
            if ($link->ceiling->usable()->isBelow($pinch->ceiling->usable())) {
                $pinch = $link;
            }
        }

        return $pinch;
    }

    /** What the path gives in practice. */
    public function usable(): Rate
    {
        return $this->pinch()->ceiling->usable();
    }

    /** What no honest reading over this path can exceed. */
    public function nominal(): Rate
    {
        $lowest = $this->links[0]->ceiling->nominal;
        foreach ($this->links as $link) {
            $lowest = $link->ceiling->nominal->isBelow($lowest) ? $link->ceiling->nominal : $lowest;
        }

        return $lowest;
    }

    public function with(Link ...$more): self
    {
        return new self([...$this->links, ...array_values($more)]);
    }

    public function describe(): string
    {
        return implode(' → ', array_map(fn (Link $link): string => $link->name, $this->links));
    }
}
