<?php

declare(strict_types=1);

namespace App\Runs\Filing;

use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use App\Models\Stations\SlotKind;
use Illuminate\Contracts\Database\Eloquent\Builder;

/** What else was written or read on the same host while a run went on. Stand-ins keep their own time and disturb nobody. */
final readonly class ParallelRuns
{
    /** @return string|null `QS-015, run 12`; null when it was alone */
    public static function of(Run $run): ?string
    {
        $slot = $run->slot;
        if ($slot === null || $slot->kind === SlotKind::Simulated || $run->started_at === null) {
            return null;
        }
        $others = Run::query()
            ->with('card')
            ->whereKeyNot($run->id)
            ->whereNotNull('started_at')
            ->where(
                fn (Builder $query): Builder => $query->where('ended_at', '>', $run->started_at)->orWhereIn('state', [RunState::Running]),
            )
            ->whereHas(
                'slot',
                fn (Builder $query): Builder => $query
                    ->where('kind', '!=', SlotKind::Simulated)
                    ->whereHas('port', fn (Builder $port): Builder => $port->where('host_id', $slot->port()->value('host_id'))),
            )
            ->orderBy('id')
            ->limit(5)
            ->get();

        return $others->isEmpty()
            ? null
            : mb_substr($others->map(fn (Run $other): string => "{$other->card->tag}, {$other->name()}")->implode('; '), 0, 200);
    }
}
