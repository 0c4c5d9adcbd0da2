<?php

declare(strict_types=1);

namespace App\Report;

use App\Models\Cards\Card;
use App\Models\Ledger\CardIncident;
use App\Models\Runs\Run;
use App\Models\When;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Counts of a period: how the cards stand now, what was tested, what happened. All of them by the database. */
final readonly class PeriodFigures
{
    /** @return array<string, array<string, int>> what they are of → name → count */
    public static function of(Carbon $from, Carbon $to): array
    {
        $days = [$from->copy()->startOfDay(), $to->copy()->endOfDay()];
        $runs = fn (): Builder => Run::query()->toBase()->whereBetween('ended_at', $days);

        return [
            'cards' => self::counts(
                Card::query()->toBase()->whereNull('retired_on')->groupByRaw('coalesce(overruled, verdict)'),
                'coalesce(overruled, verdict)',
                'count(*)',
            ),
            'changed' => [
                'entered' => Card::query()->whereBetween('created_at', $days)->count(),
                'retired' => Card::query()->whereBetween('retired_on', [$from->format(When::ISO_DAY), $to->format(When::ISO_DAY)])->count(),
            ],
            'runs' => self::counts($runs()->groupBy('kind'), 'kind', 'count(*)'),
            'tested' => [
                'cards' => $runs()->distinct()->count('card_id'),
                'seconds' => (int) $runs()
                    ->whereNotNull('started_at')
                    ->sum(DB::raw('timestampdiff(second, started_at, ended_at)')),
            ],
            'incidents' => self::counts(
                CardIncident::query()->toBase()->whereBetween('happened_at', $days)->groupBy('kind'),
                'kind',
                'count(*)',
            ),
        ];
    }

    /** @return array<string, int> */
    private static function counts(Builder $query, string $name, string $count): array
    {
        $counts = [];
        foreach ($query->selectRaw("{$name} as name, {$count} as many")->get() as $row) {
            $row = (array) $row;
            if (is_string($row['name'] ?? null) && is_numeric($row['many'] ?? null)) {
                $counts[$row['name']] = (int) $row['many'];
            }
        }
        arsort($counts);

        return $counts;
    }
}
