<?php

declare(strict_types=1);

namespace App\Worker;

use App\Models\Offload\CopyState;
use App\Models\Offload\Offload;
use App\Models\Offload\OffloadState;
use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use App\Models\Stations\Station;
use App\Models\When;
use App\Offload\Carrying\HungCopies;
use App\Runs\Filing\ResultFiling;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** A bench that nothing is heard of any more, with what went on there: its cards are not kept waiting for good. */
final readonly class VanishedBench
{
    /** @return Builder<Run> */
    public static function runs(Station $station): Builder
    {
        return Run::query()->where('station_id', $station->id)->whereIn('state', RunState::going());
    }

    /** @return Builder<Offload> copies of which go on there, as far as is known */
    public static function offloads(Station $station): Builder
    {
        $going = array_filter(CopyState::cases(), fn (CopyState $state): bool => $state->isGoing());

        return Offload::query()
            ->where('station_id', $station->id)
            ->where('is_made_up', false)
            ->where('state', '!=', OffloadState::Ended)
            ->whereHas('cards.copies', fn (Builder $copies): Builder => $copies->whereIn('state', $going));
    }

    /** @throws ValidationException while it is still heard of */
    public static function end(Station $station, string $by): void
    {
        if ($station->hasWorker()) {
            throw ValidationException::withMessages([
                'slot' => "{$station->name} is at work: stop its runs on their own pages.",
            ]);
        }
        $since = $station->worker_seen_at === null ? 'and never was' : "since {$station->worker_seen_at->format(When::THESE_DAYS)} UTC";
        foreach (self::runs($station)->with(['card', 'slot'])->get() as $run) {
            $hasBegun = $run->state === RunState::Running;
            // Should it come back in the middle of it, it stops there too.
            Run::query()
                ->whereKey($run->id)
                ->update(['stop_requested' => true]);
            ResultFiling::file(
                $run->refresh(),
                $hasBegun ? RunState::Interrupted : RunState::Stopped,
                null,
                message: $hasBegun
                    ? "Ended here by {$by}: {$station->name} is not heard of {$since}. Known is what was measured by then. Not known ".
                        'is whether it goes on writing to the card there; what comes of it is filed when the bench is back.'
                    : "Ended by {$by} before it began: {$station->name} is not heard of {$since}.",
            );
            DB::table('jobs')->where('id', $run->job_id)->delete();
        }
        foreach (self::offloads($station)->get() as $offload) {
            foreach ($offload->cards()->with('copies')->get() as $card) {
                foreach ($card->copies as $copy) {
                    if ($copy->state->isGoing()) {
                        HungCopies::leave($offload, $copy, $by);
                    }
                }
            }
        }
    }
}
