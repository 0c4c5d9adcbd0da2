<?php

declare(strict_types=1);

namespace Tally\Chain;

use Tally\Value\Inline;

/** One link of a path, under the name its owner gives it. */
final readonly class Link
{
    public function __construct(public string $name, #[Inline] public Ceiling $ceiling) {}

    /** The slowest of several that stand for one: a device on a cable at a port gives no more than the least of the three. */
    public static function slowest(self $first, self ...$more): self
    {
        [$slowest, $low] = [$first, $first->ceiling->least()];
        foreach ($more as $link) {
            $slowest = $link->ceiling->usable()->isBelow($slowest->ceiling->usable()) ? $link : $slowest;
            $least = $link->ceiling->least();
            $low = $low === null || $least === null ? null : ($least->isBelow($low) ? $least : $low);
        }
        $ceiling = $slowest->ceiling;

        return $low === null || $low->bytesPerSecond === $ceiling->least()?->bytesPerSecond
            ? $slowest
            : new self(
                $slowest->name,
                new Ceiling($ceiling->nominal, new Practice($low, $ceiling->practice?->high), $ceiling->source, $ceiling->origin),
            );
    }

    public function describe(): string
    {
        return $this->name.', '.$this->ceiling->usable()->print();
    }
}
