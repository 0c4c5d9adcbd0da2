<?php

declare(strict_types=1);

namespace App\Pages\Compare;

use App\Compare\Axis;
use App\Compare\SpeedFigure;
use App\Compare\SpeedFigures;
use App\Kit\ChoiceProps;
use App\Pages\Page;
use Tally\Quantity\Bytes;
use Tally\Quantity\NotAQuantity;
use Tally\Quantity\Rate;
use Tally\Reading\Compare\Change;
use Tally\Reading\Compare\Comparison;
use Tally\Reading\Compare\Pairs;
use Tally\Reading\Summary;

/**
 * Two readers, hosts, cables or cards side by side, over all runs that count.
 *
 * @phpstan-type PairProps array{ // The same thing measured on both sides. Speeds in MB/s.
 *     name: string,
 *     first: float,
 *     second: float,
 *     tendency: string, // how the second stands to the first: faster, slower, inside the noise, a single look
 * }
 * @phpstan-type SideProps array{ // One of the two that are held against each other. Speeds in MB/s.
 *     name: string,
 *     rates: list<float>, // every single one
 *     mean: float,
 *     margin: float|null, // half the 95 % confidence interval of the mean
 *     lower: float,
 *     median: float,
 *     upper: float,
 * }
 * @phpstan-type CompareProps array{ // Two readers, hosts, cables or cards side by side.
 *     by: string, // reader, host, cable or card
 *     way: string, // write or read
 *     a: string,
 *     b: string,
 *     choices: list<ChoiceProps>, // what can be chosen of that kind
 *     first: SideProps|null, // null while there is nothing to compare
 *     second: SideProps|null, //
 *     pairs: list<PairProps>,
 *     verdict: string, // what the difference is, or that it is inside the noise
 *     words: list<string>, // the percentages, each with its base
 *     how: string, // how it was compared, and what that leaves out
 *     amount: string, // of a typical offload, as typed
 *     amountTrouble: string|null,
 * }
 */
final readonly class ComparePage extends Page
{
    /** @param  CompareProps  $compare */
    public function __construct(
        public array $compare,
    ) {}

    /** @return CompareProps */
    public static function of(Axis $by, string $way, ?string $a, ?string $b, string $amount): array
    {
        $figures = SpeedFigures::all();
        $sides = [];
        foreach ($figures->speeds as $speed) {
            $name = $by->of($speed);
            if ($name !== null && $speed->rates($way) !== []) {
                $sides[$name][] = $speed;
            }
        }
        ksort($sides, SORT_NATURAL);
        [$a, $b] = self::choose($by, $sides, $a, $b);
        $choices = array_map(fn (int|string $name): ChoiceProps => new ChoiceProps(strval($name), strval($name), []), array_keys($sides));
        if (! isset($sides[$a], $sides[$b]) || $a === $b) {
            $why =
                count($sides) < 2
                    ? 'Fewer than two were measured so far: there is nothing to hold against each other.'
                    : 'Choose two different ones.';

            return [
                'by' => $by->value,
                'way' => $way,
                'a' => $a,
                'b' => $b,
                'choices' => $choices,
                'first' => null,
                'second' => null,
                'pairs' => [],
                'verdict' => $why,
                'words' => [],
                'how' => '',
                'amount' => $amount,
                'amountTrouble' => null,
            ];
        }

        return self::compare(
            $by,
            $way,
            $a,
            $b,
            choices: $choices,
            first: $sides[$a],
            second: $sides[$b],
            amount: $amount,
            leftOut: $figures->leftOut,
        );
    }

    /**
     * @param  list<ChoiceProps>  $choices
     * @param  non-empty-list<SpeedFigure>  $first
     * @param  non-empty-list<SpeedFigure>  $second
     * @return CompareProps
     */
    private static function compare(
        Axis $by,
        string $way,
        string $a,
        string $b,
        array $choices,
        array $first,
        array $second,
        string $amount,
        int $leftOut,
    ): array {
        $pairs = self::pairs($by, $way, $first, $second);
        // Several pairs are compared as pairs; of a single one, its runs; without any, all runs.
        [$ratesA, $ratesB] = count($pairs) === 1 ? [$pairs[0][1], $pairs[0][2]] : [self::rates($first, $way), self::rates($second, $way)];
        if (count($pairs) > 1) {
            [$ratesA, $ratesB] = [array_merge(...array_column($pairs, 1)), array_merge(...array_column($pairs, 2))];
        }
        $matches = $pairs === [] ? null : Pairs::of($pairs);
        $comparison = $matches === null ? Comparison::welch($ratesA, $ratesB) : $matches->overall;
        $how = match (true) {
            count($pairs) > 1 => count($pairs).
                " pairs, {$by->words()}: the difference is that of the pairs. What is in no pair is left out.",
            count($pairs) === 1 => "One pair, {$pairs[0][0]}: its runs are compared (Welch’s test).",
            default => 'No pair: different cards or chains on the two sides, so the difference mixes all of them (Welch’s test).',
        };
        [$words, $trouble] = $comparison === null ? [[], null] : self::words($comparison, $a, $b, $amount);

        return [
            'by' => $by->value,
            'way' => $way,
            'a' => $a,
            'b' => $b,
            'choices' => $choices,
            'first' => self::side($a, $ratesA),
            'second' => self::side($b, $ratesB),
            'pairs' => array_map(
                fn (array $pair, int $i): array => [
                    'name' => $pair[0],
                    'first' => Summary::of($pair[1])->mean / 1e6,
                    'second' => Summary::of($pair[2])->mean / 1e6,
                    'tendency' => $matches?->each[$i]->value ?? '',
                ],
                $pairs,
                array_keys($pairs),
            ),
            'verdict' => self::verdict($comparison, $matches, $by, $b),
            'words' => $words,
            'how' => $how.($leftOut === 0 ? '' : " {$leftOut} runs that were voided or measured beside another are left out."),
            'amount' => $amount,
            'amountTrouble' => $trouble,
        ];
    }

    /**
     * @param  array<string, non-empty-list<SpeedFigure>>  $sides
     * @return array{string, string}
     */
    private static function choose(Axis $by, array $sides, ?string $a, ?string $b): array
    {
        if ($a !== null && $b !== null) {
            return [$a, $b];
        }
        $names = array_map(strval(...), array_keys($sides));
        $keys = array_map(
            fn (array $speeds): array => array_unique(array_filter(array_map($by->pair(...), $speeds), is_string(...))),
            $sides,
        );
        // The two that have most pairs; the first of equals.
        $best = [$a ?? ($names[0] ?? ''), $b ?? ($names[1] ?? ''), 0];
        foreach ($a === null ? $names : [$a] as $i => $one) {
            foreach ($b === null ? array_slice($names, $a === null ? $i + 1 : 0) : [$b] as $other) {
                $pairs = $one === $other ? 0 : count(array_intersect($keys[$one] ?? [], $keys[$other] ?? []));
                $best = $pairs > $best[2] ? [$one, $other, $pairs] : $best;
            }
        }

        return [$best[0], $best[1]];
    }

    /**
     * @param  non-empty-list<SpeedFigure>  $first
     * @param  non-empty-list<SpeedFigure>  $second
     * @return list<array{string, non-empty-list<float>, non-empty-list<float>}>
     */
    private static function pairs(Axis $by, string $way, array $first, array $second): array
    {
        [$ones, $others] = [self::grouped($by, $way, $first), self::grouped($by, $way, $second)];
        $pairs = [];
        foreach ($ones as $key => $rates) {
            if (isset($others[$key])) {
                $pairs[] = [(string) $key, $rates, $others[$key]];
            }
        }

        return $pairs;
    }

    /**
     * @param  non-empty-list<SpeedFigure>  $speeds
     * @return array<array-key, non-empty-list<float>>
     */
    private static function grouped(Axis $by, string $way, array $speeds): array
    {
        $groups = [];
        foreach ($speeds as $speed) {
            $key = $by->pair($speed);
            $rates = $speed->rates($way);
            if ($key !== null && $rates !== []) {
                $groups[$key] = [...$groups[$key] ?? [], ...$rates];
            }
        }

        return $groups;
    }

    /**
     * @param  non-empty-list<SpeedFigure>  $speeds
     * @return list<float>
     */
    private static function rates(array $speeds, string $way): array
    {
        return array_merge(...array_map(fn (SpeedFigure $speed): array => $speed->rates($way), $speeds));
    }

    /**
     * @param  list<float>  $rates
     * @return SideProps
     */
    private static function side(string $name, array $rates): array
    {
        $summary = Summary::of($rates);
        $at = fn (float $share): float => $rates === [] ? 0.0 : Summary::quantile($rates, $share) / 1e6;

        return [
            'name' => $name,
            'rates' => array_map(fn (float $rate): float => $rate / 1e6, $rates),
            'mean' => $summary->mean / 1e6,
            'margin' => $summary->margin() === null ? null : $summary->margin() / 1e6,
            'lower' => $at(0.25),
            'median' => $summary->median / 1e6,
            'upper' => $at(0.75),
        ];
    }

    private static function verdict(?Comparison $comparison, ?Pairs $matches, Axis $by, string $b): string
    {
        if ($comparison === null) {
            return 'A single look on one side: it has no spread to judge a difference by.';
        }
        $print = fn (float $rate): string => $rate === 0.0 ? '0 MB/s' : Rate::bytesPerSecond(abs($rate))->print();
        $interval = "{$print($comparison->difference)} ± {$print($comparison->margin)} at 95\u{a0}%";

        if ($matches?->depends() === true) {
            return 'It depends on the '.
                ($by === Axis::Card ? 'chain' : 'card').
                ": {$b} is {$matches->tally()} of ".
                count($matches->each).
                " pairs; the mean difference is {$interval}.";
        }

        return $comparison->isInsideNoise()
            ? "Inside the noise: the difference is {$interval}, so it could as well be none."
            : "{$b} is ".($comparison->difference > 0 ? 'faster' : 'slower')." by {$interval}.";
    }

    /** @return array{list<string>, string|null} */
    private static function words(Comparison $comparison, string $a, string $b, string $amount): array
    {
        $change = $comparison->change();
        $words = [$change->words($a, $b).", of {$a}.", $change->back()->words($b, $a).", of {$b}."];
        try {
            $bytes = Bytes::parse($amount, 'GB');
        } catch (NotAQuantity $fault) {
            return [$words, $fault->getMessage()];
        }

        return [[...$words, self::offload($change, $a, $b, $bytes)], null];
    }

    private static function offload(Change $change, string $a, string $b, Bytes $bytes): string
    {
        $minutes = fn (float $rate): float => Rate::bytesPerSecond($rate)->timeFor($bytes)->seconds / 60;
        [$one, $other] = [$minutes($change->from), $minutes($change->to)];
        $print = fn (float $value): string => number_format(abs($value), 1, '.', '').' min';

        return "{$bytes->decimal()} take {$print($one)} over {$a} and {$print($other)} over {$b}: {$print($one - $other)} ".
            ($other <= $one ? 'saved' : 'lost').
            ' each time.';
    }
}
