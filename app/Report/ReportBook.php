<?php

declare(strict_types=1);

namespace App\Report;

use App\Evidence\CardEvidence;
use App\Models\Cards\Card;
use App\Models\Ledger\HouseReport;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Tally\Offload\OneByOne;
use Tally\Verdict\Judge;
use Tally\Verdict\VerdictKind;

/**
 * Gathers a report of the house a slice at a time, so that neither a page nor the memory grows with the house: counts by the database,
 * reasons of struck-out cards by the judge, hours by the model that plans are reckoned with.
 */
final readonly class ReportBook
{
    /** Seconds after which a slice is long enough. */
    private const LONG = 0.25;

    public static function begin(Carbon $from, Carbon $to, string $by): HouseReport
    {
        return HouseReport::query()->create([
            'from' => $from,
            'to' => $to,
            'by' => $by,
            'todo' => [...self::struck($from, $to), ...CarriedHome::since($from, $to)],
            'taken' => 0,
            'figures' => null,
            'struck' => [],
            'carried' => [],
            'begun_at' => now(),
        ]);
    }

    /** The next slice. */
    public static function goOn(HouseReport $report): HouseReport
    {
        return DB::transaction(function () use ($report): HouseReport {
            $report = HouseReport::query()->lockForUpdate()->findOrFail($report->id);
            $report->figures ??= PeriodFigures::of($report->from, $report->to);
            $until = hrtime(true) + self::LONG * 1e9;
            while (! $report->isDone() && hrtime(true) < $until) {
                $key = $report->todo[$report->taken];
                str_starts_with($key, 'card ') ? self::card($report, (int) substr($key, 5)) : self::carried($report, $key);
                $report->taken++;
            }
            $report->save();

            return $report;
        });
    }

    private static function card(HouseReport $report, int $id): void
    {
        $card = Card::query()->find($id);
        if ($card === null) {
            return;
        }
        $reason = Judge::judge(CardEvidence::of($card, CardEvidence::runs($card)))->reasons[0];
        $why = $card->overruled === null ? $reason->sentence() : 'A person said so instead of the evidence.';
        $report->struck = [
            ...$report->struck,
            ['tag' => $card->tag, 'name' => $card->name, 'verdict' => ($card->overruled ?? $card->verdict)->value, 'why' => $why],
        ];
    }

    private static function carried(HouseReport $report, string $key): void
    {
        $home = CarriedHome::find($key);
        if ($home !== null) {
            $report->carried = [
                ...$report->carried,
                [
                    'name' => $home->name,
                    'cards' => count($home->plan->question->cards),
                    'bytes' => $home->bytes,
                    'alone' => round(OneByOne::seconds($home->plan)),
                    'took' => round($home->took),
                    'is_made_up' => $home->isMadeUp,
                ],
            ];
        }
    }

    /** @return list<string> cards that are struck out, where something was found out about them in these days */
    private static function struck(Carbon $from, Carbon $to): array
    {
        $days = [$from->copy()->startOfDay(), $to->copy()->endOfDay()];
        $ids = Card::query()
            ->whereRaw('coalesce(overruled, verdict) in (?, ?)', [VerdictKind::Sham->value, VerdictKind::Shaky->value])
            ->where(
                fn (Builder $any) => $any
                    ->whereBetween('created_at', $days)
                    ->orWhereHas('runs', fn (Builder $runs) => $runs->whereBetween('ended_at', $days)),
            )
            ->orderBy('tag')
            ->pluck('id');

        return array_values($ids->map(fn (mixed $id): string => 'card '.(is_int($id) ? $id : 0))->all());
    }
}
