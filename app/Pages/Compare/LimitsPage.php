<?php

declare(strict_types=1);

namespace App\Pages\Compare;

use App\Compare\SpeedFigure;
use App\Compare\SpeedFigures;
use App\Pages\Page;
use Tally\Reading\Limit\Bound;
use Tally\Reading\Limit\Cell;
use Tally\Reading\Limit\Limits;
use Tally\Reading\Limit\Ruling;
use Tally\Reading\Summary;

/**
 * Which link was the limit, over all speed runs that count.
 *
 * @phpstan-type LimitCellProps array{ // One card in one reader. Speed in MB/s.
 *     card: string,
 *     reader: string,
 *     rate: float,
 *     runs: int,
 *     by: string, // card, reader or undecided
 *     why: string,
 * }
 * @phpstan-type LimitEdgeProps array{ // What a card or a reader can do, as far as it is known. Speed in MB/s.
 *     name: string,
 *     words: string,
 *     rate: float,
 *     margin: float|null, // half the 95 % confidence interval; null where it is only known to be at least that
 * }
 * @phpstan-type LimitsProps array{ // Cards by readers: which link was the limit.
 *     way: string, // write or read
 *     cards: list<LimitEdgeProps>,
 *     readers: list<LimitEdgeProps>,
 *     cells: list<LimitCellProps>, //
 *     next: NextRunProps|null,
 *     leftOut: int,
 * }
 * @phpstan-type NextRunProps array{ // The run that would settle most.
 *     card: string,
 *     reader: string,
 *     why: string,
 * }
 */
final readonly class LimitsPage extends Page
{
    /** @param  LimitsProps  $limits */
    public function __construct(
        public array $limits,
    ) {}

    /** @return LimitsProps */
    public static function of(string $way): array
    {
        $figures = SpeedFigures::all();
        $limits = Limits::of(self::cells($figures, $way));
        $names = [];
        foreach ($figures->speeds as $speed) {
            $names[$speed->run->card->tag] = $speed->run->card->name;
            $names[$figures->column($speed) ?? ''] = $speed->run->reader->name ?? '';
        }
        $edge = fn (Bound $bound): array => [
            'name' => $bound->name,
            'words' => $names[$bound->name] ?? '',
            'rate' => $bound->rate / 1e6,
            'margin' => $bound->margin === null ? null : $bound->margin / 1e6,
        ];
        $cards = $figures->cards();
        $seats = $figures->seats();
        $next = $limits->next(
            fn (string $card, string $reader): bool => isset($cards[$card], $seats[$reader]) &&
                $cards[$card]->form->connector() === $seats[$reader]->run->card->form->connector() &&
                $cards[$card]->label()->settleIn($seats[$reader]->run->reader?->buses() ?? []) !== null,
        );
        // The reader that most cards were in first; cards by how fast they are.
        $cells = array_count_values(array_map(fn (Ruling $ruling): string => $ruling->cell->reader, $limits->rulings));
        [$rows, $columns] = [array_map($edge, $limits->cards()), array_map($edge, $limits->readers())];
        $use = array_map(fn (Bound $reader): int => $cells[$reader->name] ?? 0, $limits->readers());
        usort($rows, fn (array $a, array $b): int => $b['rate'] <=> $a['rate']);
        array_multisort($use, SORT_DESC, array_column($columns, 'rate'), SORT_DESC, $columns);

        return [
            'way' => $way,
            'cards' => $rows,
            'readers' => $columns,
            'cells' => array_map(
                fn (Ruling $ruling): array => [
                    'card' => $ruling->cell->card,
                    'reader' => $ruling->cell->reader,
                    'rate' => $ruling->summary->mean / 1e6,
                    'runs' => $ruling->summary->count,
                    'by' => $ruling->by->value,
                    'why' => $ruling->why,
                ],
                $limits->rulings,
            ),
            'next' => $next === null
                ? null
                : [
                    'card' => $next['card'],
                    'reader' => $next['reader'],
                    'why' => "It would settle {$next['settles']} undecided ".
                        ($next['settles'] === 1 ? 'figure' : 'figures').
                        ": {$next['card']} was never in {$next['reader']}.",
                ],
            'leftOut' => $figures->leftOut,
        ];
    }

    /** @return list<Cell> */
    public static function cells(SpeedFigures $figures, string $way): array
    {
        $cells = [];
        foreach ($figures->byCardAndReader() as $key => $speeds) {
            $rates = array_merge(...array_map(fn (SpeedFigure $speed): array => $speed->rates($way), $speeds));
            if ($rates !== []) {
                [$card, $reader] = [...explode("\n", $key, 2), ''];
                $other = array_merge(
                    ...array_map(fn (SpeedFigure $speed): array => $speed->rates($way === 'write' ? 'read' : 'write'), $speeds),
                );
                $cells[] = new Cell(
                    $card,
                    $reader,
                    $rates,
                    $speeds[0]->run->card->name,
                    otherWay: $other === [] ? null : Summary::of($other)->mean,
                    least: $speeds[0]->least,
                );
            }
        }

        return $cells;
    }
}
