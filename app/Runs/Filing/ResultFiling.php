<?php

declare(strict_types=1);

namespace App\Runs\Filing;

use App\Evidence\CardEvidence;
use App\Gear\OwnMeasurement;
use App\Models\Cards\Card;
use App\Models\Runs\Run;
use App\Models\Runs\RunSample;
use App\Models\Runs\RunState;
use DateTimeInterface;
use Illuminate\Support\Facades\DB;
use Tally\Record\Result;

/**
 * Files a finished run: the one way in which it comes into the books, whoever made it. Result, traces, state, what it shows
 * of the gear and the verdict of the card are written together or not at all.
 */
final readonly class ResultFiling
{
    /**
     * @param  Run  $run  as it was ordered, or one that is not in the books yet
     * @param  Result|array<mixed>|null  $result  null keeps what was written down of it so far; an array is a result from a
     * file, to the letter
     * @param  array{write: list<array{float, float}>, read: list<array{float, float}>, heat?: list<array{float, float}>}|null  $traces
     * @param  string|null  $message  why it ended as it did
     * @param  DateTimeInterface|null  $ended  null for now
     */
    public static function file(
        Run $run,
        RunState $state,
        Result|array|null $result,
        ?array $traces = null,
        ?string $message = null,
        ?DateTimeInterface $ended = null,
    ): Run {
        $filed = DB::transaction(function () use ($run, $state, $result, $traces, $message, $ended): Run {
            $card = Card::query()->whereKey($run->card_id)->lockForUpdate()->firstOrFail();
            $filed = self::afresh($run);
            if ($result !== null) {
                $filed->result = $result;
            }
            if ($filed->started_at !== null) {
                $filed->beside ??= ParallelRuns::of($filed);
            }
            $filed
                ->forceFill([
                    'state' => $state,
                    'message' => $message === null ? null : mb_substr($message, 0, 1000),
                    'ended_at' => $ended ?? now(),
                    'progress' => null,
                ])
                ->save();
            if ($traces !== null) {
                RunSample::query()->updateOrCreate(['run_id' => $filed->id], ['traces' => $traces]);
            }
            OwnMeasurement::note($filed->load(['card', 'void', 'slot']));
            CardEvidence::refresh($card);

            return $filed;
        });
        // Only now is it true of the one that was given, too.
        $run->setRawAttributes($filed->getAttributes(), true)->exists = true;
        CardEvidence::refreshConcerned($filed);

        return $run;
    }

    /** A model of its own for each try: one that was rolled back would take what it lost for saved. */
    private static function afresh(Run $run): Run
    {
        $filed = $run->exists ? Run::query()->with('slot')->findOrFail($run->id) : new Run();

        return $filed->setRawAttributes([...$filed->getAttributes(), ...$run->getDirty()]);
    }
}
