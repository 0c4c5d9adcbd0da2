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

/** Which link was the limit, over all speed runs that count. */
final readonly class LimitsPage extends Page
{
    public function __construct(
        public LimitsProps $limits,
    ) {}

    public static function of(string $way): LimitsProps
    {
        $figures = SpeedFigures::all();
        $limits = Limits::of(self::cells($figures, $way));
        $names = [];
        foreach ($figures->speeds as $speed) {
            $names[$speed->run->card->tag] = $speed->run->card->name;
            $names[$figures->column($speed) ?? ''] = $speed->run->reader->name ?? '';
        }
        $edge = fn (Bound $bound): LimitEdgeProps => new LimitEdgeProps(
            $bound->name,
            $names[$bound->name] ?? '',
            $bound->rate / 1e6,
            $bound->margin === null ? null : $bound->margin / 1e6,
        );
        $cards = $figures->cards();
        $seats = $figures->seats();
        $next = $limits->next(
            fn (string $card, string $reader): bool => isset($cards[$card], $seats[$reader]) &&
                $cards[$card]->form->connector() === $seats[$reader]->run->card->form->connector() &&
                $cards[$card]->label()->settleIn($seats[$reader]->run->reader?->buses() ?? []) !== null,
        );
        // The reader that most cards were in first; cards by how fast they are.
        $cells = array_count_values(array_map(fn (Ruling $ruling): string => $ruling->cell->reader, $limits->rulings));
        $use = fn (LimitEdgeProps $edge): array => [$cells[$edge->name] ?? 0, $edge->rate];
        $busiest = fn (LimitEdgeProps $a, LimitEdgeProps $b): int => $use($b) <=> $use($a);
        $fastest = fn (LimitEdgeProps $a, LimitEdgeProps $b): int => $b->rate <=> $a->rate;
        [$rows, $columns] = [array_map($edge, $limits->cards()), array_map($edge, $limits->readers())];
        usort($rows, $fastest);
        usort($columns, $busiest);

        return new LimitsProps(
            $way,
            $rows,
            $columns,
            array_map(
                fn (Ruling $ruling): LimitCellProps => new LimitCellProps(
                    $ruling->cell->card,
                    $ruling->cell->reader,
                    $ruling->summary->mean / 1e6,
                    $ruling->summary->count,
                    $ruling->by->value,
                    $ruling->why,
                ),
                $limits->rulings,
            ),
            $next === null
                ? null
                : new NextRunProps(
                    $next['card'],
                    $next['reader'],
                    "It would settle {$next['settles']} undecided ".
                        ($next['settles'] === 1 ? 'figure' : 'figures').
                        ": {$next['card']} was never in {$next['reader']}.",
                ),
            $figures->leftOut,
        );
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
                    $other === [] ? null : Summary::of($other)->mean,
                    $speeds[0]->least,
                );
            }
        }

        return $cells;
    }
}
