<?php

declare(strict_types=1);

namespace Tally\Reading\Limit;

use Tally\Quantity\Rate;
use Tally\Reading\Summary;

/**
 * Which link was the limit? A card in a reader goes as fast as the slower of the two: s = min(card, reader).
 *
 * So a card that was clearly faster in another reader was held back by this one, and a reader that was clearly faster with
 * another card was held back by this card. Where neither has been seen, nothing is decided, except by agreement: three or
 * more cards of different make do not level off at one figure by chance, nor does a card beside one that the reader is
 * known to hold back, nor do writing and reading of one card.
 */
final readonly class Limits
{
    /** Means that differ by less are the same for this purpose: common practice, no source. */
    public const SAME = 0.03;

    private const AGREE = 3;

    /** At or under so much of what a chain gives at the least, the chain is not what held a card: the house rule of blame. */
    private const UNDER_THE_CHAIN = 0.9;

    /** A card whose two ways differ by less is held back by something else: common practice, no source. */
    private const ONE_FIGURE = 0.015;

    /** @var array<string, Ruling> by card and reader */
    private array $seats;

    /** @param  list<Ruling>  $rulings */
    private function __construct(public array $rulings)
    {
        $seats = [];
        foreach ($rulings as $ruling) {
            $seats[self::seat($ruling->cell->card, $ruling->cell->reader)] = $ruling;
        }
        $this->seats = $seats;
    }

    /** @param  list<Cell>  $cells  one for each card and reader */
    public static function of(array $cells): self
    {
        $sightings = Sighting::of($cells);
        $byCard = self::together($sightings, fn (Sighting $one): string => $one->cell->card);
        $byReader = self::together($sightings, fn (Sighting $one): string => $one->cell->reader);

        return new self(
            array_map(
                fn (Sighting $one): Ruling => self::rule($one, $byCard[$one->cell->card] ?? [], $byReader[$one->cell->reader] ?? []),
                $sightings,
            ),
        );
    }

    public function at(string $card, string $reader): ?Ruling
    {
        return $this->seats[self::seat($card, $reader)] ?? null;
    }

    private static function seat(string $card, string $reader): string
    {
        return "{$card}\n{$reader}";
    }

    /** @return list<Bound> of each card that was measured */
    public function cards(): array
    {
        return $this->bounds(fn (Cell $cell): string => $cell->card, LimitedBy::Card);
    }

    /** @return list<Bound> of each reader that was used */
    public function readers(): array
    {
        return $this->bounds(fn (Cell $cell): string => $cell->reader, LimitedBy::Reader);
    }

    /**
     * The one run that would settle most: a card that is undecided somewhere, in a reader that is known to be faster, or in
     * one nobody tried it in.
     *
     * @param  (callable(string, string): bool)|null  $fits  whether a card goes into a reader; null where all do
     * @return array{card: string, reader: string, settles: int}|null
     */
    public function next(?callable $fits = null): ?array
    {
        $best = null;
        $readers = array_unique(array_map(fn (Ruling $ruling): string => $ruling->cell->reader, $this->rulings));
        $cards = array_unique(array_map(fn (Ruling $ruling): string => $ruling->cell->card, $this->rulings));
        $floor = [];
        foreach ($this->readers() as $bound) {
            $floor[$bound->name] = $bound->rate;
        }
        foreach ($cards as $card) {
            $open = array_filter(
                $this->rulings,
                fn (Ruling $ruling): bool => $ruling->cell->card === $card && $ruling->by === LimitedBy::Undecided,
            );
            foreach ($readers as $reader) {
                if ($open === [] || $this->at($card, $reader) !== null || ($fits !== null && ! $fits($card, $reader))) {
                    continue;
                }
                // In a reader that is faster than the open cell, the card either shows more (the old reader was the limit) or
                // not (the card was).
                $settles = count(
                    array_filter($open, fn (Ruling $ruling): bool => ($floor[$reader] ?? 0) > $ruling->summary->mean * (1 + self::SAME)),
                );
                $candidate = ['card' => $card, 'reader' => $reader, 'settles' => max(1, $settles)];
                $isBetter =
                    $best === null || [$candidate['settles'], $floor[$reader] ?? 0] > [$best['settles'], $floor[$best['reader']] ?? 0];
                $best = $isBetter ? $candidate : $best;
            }
        }

        return $best;
    }

    /**
     * @param  list<Sighting>  $sightings
     * @param  callable(Sighting): string  $by
     * @return array<array-key, non-empty-list<Sighting>>
     */
    private static function together(array $sightings, callable $by): array
    {
        $groups = [];
        foreach ($sightings as $one) {
            $groups[$by($one)][] = $one;
        }

        return $groups;
    }

    /**
     * @param  list<Sighting>  $sameCard
     * @param  list<Sighting>  $sameReader
     */
    private static function rule(Sighting $one, array $sameCard, array $sameReader): Ruling
    {
        [$elsewhere, $withOther] = [$one->elsewhere, $one->withOther];
        $rate = fn (Sighting $of): string => Rate::bytesPerSecond($of->summary->mean)->print();

        return match (true) {
            $elsewhere !== null && $withOther === null => self::ruling(
                $one,
                LimitedBy::Reader,
                "{$one->cell->card} reached {$rate($elsewhere)} in {$elsewhere->cell->reader}",
            ),
            $withOther !== null && $elsewhere === null => self::ruling(
                $one,
                LimitedBy::Card,
                "{$one->cell->reader} reached {$rate($withOther)} with {$withOther->cell->card}",
            ),
            $elsewhere !== null => self::ruling(
                $one,
                LimitedBy::Undecided,
                'card and reader were both faster elsewhere: something else held this run back',
            ),
            default => self::byAgreement($one, $sameCard, $sameReader),
        };
    }

    /**
     * @param  list<Sighting>  $sameCard
     * @param  list<Sighting>  $sameReader
     */
    private static function byAgreement(Sighting $one, array $sameCard, array $sameReader): Ruling
    {
        $level = array_filter($sameReader, fn (Sighting $other): bool => $one->isAbout($other));
        $held = array_filter($level, fn (Sighting $other): bool => $other !== $one && $other->elsewhere !== null);
        // It does no more in a reader that is faster with another card: then it is the card, wherever it does as much.
        $noMore = array_filter(
            $sameCard,
            fn (Sighting $other): bool => $other !== $one && $one->isAbout($other) && $other->withOther !== null,
        );
        $readers = implode(' and ', array_map(fn (Sighting $other): string => $other->cell->reader, $noMore));
        $cards = implode(', ', array_map(fn (Sighting $other): string => $other->cell->card, $held));
        $makes = count(array_unique(array_map(fn (Sighting $other): string => $other->cell->make, $level)));

        return match (true) {
            $one->cell->least !== null && $one->summary->mean <= self::UNDER_THE_CHAIN * $one->cell->least => self::ruling(
                $one,
                LimitedBy::Card,
                'it is under what this chain gives at the very least, '.Rate::bytesPerSecond($one->cell->least)->print(),
            ),
            $noMore !== [] && $held !== [] => self::ruling(
                $one,
                LimitedBy::Undecided,
                "card and reader are about as fast: it does no more in {$readers}, and the reader holds others back at the same figure",
            ),
            $noMore !== [] => self::ruling($one, LimitedBy::Card, "it does no more in {$readers}, faster with others"),
            $held !== [] => self::ruling($one, LimitedBy::Reader, "it levels off where {$cards}, faster elsewhere, does too"),
            $makes >= self::AGREE => self::ruling(
                $one,
                LimitedBy::Reader,
                count($level).' cards of different make level off at the same figure in it',
            ),
            self::isAsFastBothWays($one) => self::ruling(
                $one,
                LimitedBy::Reader,
                'writing and reading level off at one figure, as no card does by itself',
            ),
            default => self::ruling($one, LimitedBy::Undecided, 'neither has been seen faster elsewhere'),
        };
    }

    private static function isAsFastBothWays(Sighting $one): bool
    {
        return $one->cell->otherWay !== null && abs($one->cell->otherWay / $one->summary->mean - 1) <= self::ONE_FIGURE;
    }

    private static function ruling(Sighting $one, LimitedBy $by, string $why): Ruling
    {
        return new Ruling($one->cell, $one->summary, $by, $why);
    }

    /**
     * @param  callable(Cell): string  $name
     * @return list<Bound>
     */
    private function bounds(callable $name, LimitedBy $by): array
    {
        $bounds = [];
        foreach (array_values(array_unique(array_map(fn (Ruling $ruling): string => $name($ruling->cell), $this->rulings))) as $one) {
            $own = array_filter($this->rulings, fn (Ruling $ruling): bool => $name($ruling->cell) === $one);
            $settled = array_filter($own, fn (Ruling $ruling): bool => $ruling->by === $by);
            $rates = array_merge(
                ...array_values(array_map(fn (Ruling $ruling): array => $ruling->cell->rates, $settled === [] ? $own : $settled)),
            );
            $summary = Summary::of($rates);
            $bounds[] =
                $settled === []
                    ? new Bound(
                        $one,
                        max([0.0, ...array_map(fn (Ruling $ruling): float => $ruling->summary->mean, array_values($own))]),
                        null,
                    )
                    : new Bound($one, $summary->mean, $summary->margin() ?? 0.0);
        }

        return $bounds;
    }
}
