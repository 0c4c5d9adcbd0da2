<?php

declare(strict_types=1);

namespace Tally\Reading\Compare;

use Tally\Reading\Summary;

/**
 * The same things measured on both sides, such as the same cards in two readers: as a whole by their paired differences,
 * and each for itself by Welch’s test. Where only some of them differ, neither side is the faster one: it depends on the card.
 */
final readonly class Pairs
{
    /**
     * @param  list<Tendency>  $each
     * @param  Comparison|null  $overall  null where nothing has a spread to judge by
     */
    private function __construct(public array $each, public ?Comparison $overall) {}

    /** @param  non-empty-list<array{string, list<float>, list<float>}>  $pairs  name, readings on the first side, on the second */
    public static function of(array $pairs): self
    {
        $each = array_map(fn (array $pair): ?Comparison => Comparison::welch($pair[1], $pair[2]), $pairs);

        return new self(
            array_map(Tendency::of(...), $each),
            count($pairs) === 1
                ? $each[0]
                : Comparison::paired(
                    array_map(fn (array $pair): array => [Summary::of($pair[1])->mean, Summary::of($pair[2])->mean], $pairs),
                ),
        );
    }

    /** Whether pairs that are clear for themselves do not make one side the faster. */
    public function depends(): bool
    {
        return count($this->each) > 1 &&
            Tendency::of($this->overall) === Tendency::Noise &&
            $this->count(Tendency::Faster) + $this->count(Tendency::Slower) > 0;
    }

    /** `faster in 2, inside the noise in 1` */
    public function tally(): string
    {
        $parts = [];
        foreach (Tendency::cases() as $tendency) {
            if ($this->count($tendency) > 0) {
                $parts[] = "{$tendency->value} in {$this->count($tendency)}";
            }
        }

        return implode(', ', $parts);
    }

    private function count(Tendency $tendency): int
    {
        return count(array_filter($this->each, fn (Tendency $one): bool => $one === $tendency));
    }
}
