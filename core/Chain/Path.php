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

    /** Faster than anything there is, in bytes a second: the ceiling of a link that nobody knows. */
    public const ENDLESS = 1e15;

    /**
     * @param  list<Link>  $links
     * @param  bool  $isNamed  false where nobody told what the data passed: then no shortfall can be blamed on the card
     */
    public function __construct(array $links, public bool $isNamed = true)
    {
        $this->links = $links === [] ? throw new InvalidArgumentException('A path needs at least one link.') : $links;
    }

    /** Nobody told over which links a figure was measured. */
    public static function unnamed(): self
    {
        return new self([new Link('a chain nobody named', new Ceiling(Rate::bytesPerSecond(self::ENDLESS), null, 'unknown'))], false);
    }

    /** @return Practice|null the range that it gives in practice; null where a link of it is not known */
    public function practice(): ?Practice
    {
        $lows = array_map(fn (Link $link): ?Rate => $link->ceiling->least(), $this->links);
        $least = $lows[0];
        foreach ($lows as $low) {
            $least = $least === null || $low === null ? null : ($low->isBelow($least) ? $low : $least);
        }

        return ! $this->isNamed || $least === null ? null : new Practice($least, $this->usable());
    }

    /** Why a shortfall is not the card’s. */
    public function excuse(): string
    {
        if (! $this->isNamed) {
            return 'Nobody named the chain that it was measured on.';
        }
        $range = $this->practice();

        return $range === null
            ? "The slowest link is {$this->pinch()->describe()}."
            : "This chain gives {$range->print()} in practice; its slowest link is {$this->pinch()->name}.";
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
        return new self([...$this->links, ...array_values($more)], $this->isNamed);
    }

    public function describe(): string
    {
        return implode(' → ', array_map(fn (Link $link): string => $link->name, $this->links));
    }
}
