<?php

declare(strict_types=1);

namespace Tally\Measured;

use Closure;
use Tally\Chain\Link;
use Tally\Chain\Path;
use Tally\Label\Bus;
use Tally\Label\Label;
use Tally\Quantity\Rate;
use Tally\Reading\Thresholds;
use Tally\Value\Alterable;

/**
 * Whose fault a shortfall is: a figure that falls short of a promise is the card's only where the chain cannot be what held
 * it. Handbook § 6 rules 3 and 5; house rules.
 */
final readonly class Attribution
{
    use Alterable;

    /** A link that gives at least so many times the promise was not what held it. */
    private const CLEAR = 1.1;

    /** At or under so much of what the chain gives at the least, the chain was not what held it. */
    private const UNDER = 0.9;

    public Path $path;

    /** @param  list<Reached>|(Closure(): list<Reached>)  $reached  what the house saw its readers carry */
    public function __construct(
        private Chain $chain,
        private Label $label,
        private array|Closure $reached = [],
        private Thresholds $by = new Thresholds(),
        private Way $way = Way::Write,
    ) {
        $path = $chain->surest($label);
        $isDouble = $path->isNamed && $label->slowestIn($chain->slot) === Bus::UhsIDouble;
        // A slot that was seen to carry more than the standard rate speaks the double one.
        $path = $isDouble && $this->carried(Bus::UhsI->ceiling()->nominal) !== [] ? $chain->surest($label, true) : $path;
        $bench = $path->isNamed ? $chain->instrument?->link($way) : null;
        $this->path = $bench === null ? $path : new Path([$bench, ...$path->links]);
    }

    /** The same chain, asked of the other way. */
    public function of(Way $way): self
    {
        return $this->with(way: $way);
    }

    /**
     * Whether the chain could have shown the promise: every link of it is sure to give more, or the reader was seen to.
     *
     * @param  Rate|null  $figure  what came over it instead; a reader that was never seen to carry more clears nothing
     */
    public function couldShow(Rate $promise, ?Rate $figure = null): bool
    {
        if (! $this->chain->isNamed() || ! $this->path->isNamed || ($figure !== null && $this->isTheBenchs($figure))) {
            return false;
        }
        $seen = null;
        foreach ($this->path->links as $i => $link) {
            $isHost = $i === count($this->path->links) - 1;
            if ($this->isClear($link, $promise)) {
                continue;
            }
            $seen ??= $this->seen($promise, $figure);
            if (! self::isCovered($link, $isHost, $seen)) {
                return false;
            }
        }

        return true;
    }

    /**
     * Whether a figure that falls short of a promise is the card's doing.
     *
     * @param  bool  $isBest  whether the card was never seen faster: else something besides the card held this figure
     */
    public function isTheCards(Rate $figure, Rate $promise, bool $isBest = true): bool
    {
        return ! $this->isTheBenchs($figure) && ($this->couldShow($promise, $figure) || ($isBest && $this->isUnderTheChain($figure)));
    }

    /** Whether the figure may be what the bench gives, whatever is plugged in. */
    private function isTheBenchs(Rate $figure): bool
    {
        return $this->chain->instrument?->mayHold($figure, $this->way) === true;
    }

    /**
     * What clears the chain of a shortfall that is the card's: what it is sure to give, or what its reader was seen to carry.
     *
     * @return array{sure: Rate}|array{carried: Rate, reader: string}|array{} empty where nothing clears it
     */
    public function grounds(Rate $figure, Rate $promise): array
    {
        $low = $this->path->practice()?->low;
        $isSure =
            $low !== null && ! $this->chain->isCamera && ($low->over($promise) >= self::CLEAR - 1e-9 || $this->isUnderTheChain($figure));
        $seen = $isSure ? [] : $this->seen($promise, $figure);
        usort($seen, fn (Reached $a, Reached $b): int => $b->rate->bytesPerSecond <=> $a->rate->bytesPerSecond);

        return match (true) {
            $isSure => ['sure' => $low],
            $seen !== [] => ['carried' => $seen[0]->rate, 'reader' => $seen[0]->reader],
            default => [],
        };
    }

    /** Whether the figure is so low that the chain cannot be what held it. */
    private function isUnderTheChain(Rate $figure): bool
    {
        $practice = $this->path->practice();

        return $this->chain->isNamed() &&
            ! $this->chain->isCamera &&
            $practice !== null &&
            $figure->over($practice->low) <= self::UNDER + 1e-9;
    }

    /** @param  Rate|null  $figure  that fell short */
    public function excuse(?Rate $figure = null): string
    {
        $bench = $figure === null ? '' : $this->chain->instrument?->excuse($figure, $this->way) ?? '';

        return match (true) {
            $bench !== '' => $bench,
            ! $this->chain->isNamed() => 'Nobody named the chain that it was measured on.',
            $this->chain->isCamera => 'A camera as reader is often far below its port.',
            ! $this->path->isNamed => "{$this->chain->describe()} does not take such a card.",
            default => $this->path->excuse(),
        };
    }

    private function isClear(Link $link, Rate $promise): bool
    {
        $low = $link->ceiling->least();

        // A hair's breadth is for figures such as 1.1, which have no exact binary form.
        return ! $this->chain->isCamera && $low !== null && $low->over($promise) >= self::CLEAR - 1e-9;
    }

    /** @return list<Reached> when the reader was seen to carry enough */
    private function seen(Rate $promise, ?Rate $figure): array
    {
        return array_values(
            array_filter(
                $this->carried($figure),
                fn (Reached $one): bool => $one->rate->over($promise) >= $this->by->near - 1e-9,
            ),
        );
    }

    /** @return list<Reached> when its reader was seen to carry more than this */
    private function carried(?Rate $more): array
    {
        $reached = $this->reached instanceof Closure ? ($this->reached)() : $this->reached;

        return array_values(
            array_filter(
                $reached,
                fn (Reached $one): bool => $one->reader === $this->chain->reader && ($more === null || $more->isBelow($one->rate)),
            ),
        );
    }

    /**
     * Whether what was seen may have gone over this link: it cannot have carried more than it does on paper, nor stand in for
     * a faster link to the host.
     *
     * @param  list<Reached>  $seen
     */
    private static function isCovered(Link $link, bool $isHost, array $seen): bool
    {
        return array_filter(
            $seen,
            fn (Reached $one): bool => ! $link->ceiling->nominal->isBelow($isHost ? $one->over ?? $one->rate : $one->rate),
        ) !== [];
    }
}
