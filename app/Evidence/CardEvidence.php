<?php

declare(strict_types=1);

namespace App\Evidence;

use App\Gear\ChainBuilder;
use App\Gear\ReaderReach;
use App\Models\Cards\Card;
use App\Models\Runs\Run;
use App\Models\Runs\RunSample;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Tally\Evidence\Evidence;
use Tally\Evidence\House;
use Tally\Evidence\LongWriteEvidence;
use Tally\Evidence\ProofEvidence;
use Tally\Evidence\SpeedEvidence;
use Tally\Reading\Thresholds;
use Tally\Record\LongWrite;
use Tally\Record\ProofRecord;
use Tally\Record\SpeedRecord;
use Tally\Record\SustainedRecord;
use Tally\Shoot\StopFindings;
use Tally\Verdict\Judge;
use Tally\Verdict\KeptUp;
use Tally\Verdict\Verdict;

/** Gathers what is known of a card, and keeps its verdict up to date. */
final readonly class CardEvidence
{
    /**
     * @param  Collection<int, Run>  $runs  of the card
     * @param  Thresholds|null  $by  what is tried; null for what the house goes by
     */
    public static function of(Card $card, Collection $runs, ?Thresholds $by = null): Evidence
    {
        $seen = SeenOnCard::of($card);
        [$speeds, $proofs, $sustained] = self::sorted($runs);
        $reached = fn (): array => ReaderReach::besides($card);

        return new Evidence(
            $card->label(),
            $speeds,
            $proofs,
            $sustained,
            seen: $seen->counted(),
            looked: $seen->isComplete($card->label()),
            house: new House(
                [...(new HouseKnowledge())->findings($card), ...StopFindings::of($card->stopped)],
                $reached,
                fn (): array => ChainBuilder::reaches($card->label(), $reached()),
                $by ?? JudgeRules::now(),
            ),
        );
    }

    /**
     * @param  Collection<int, Run>  $runs
     * @return list<SpeedEvidence>
     */
    public static function speeds(Collection $runs): array
    {
        return self::sorted($runs)[0];
    }

    /**
     * What counts of them, by what it tells: one pass, since a page may ask of a thousand runs.
     *
     * @param  Collection<int, Run>  $runs
     * @return array{list<SpeedEvidence>, list<ProofEvidence>, list<LongWriteEvidence>}
     */
    public static function sorted(Collection $runs): array
    {
        $speeds = $proofs = $sustained = [];
        foreach ($runs as $run) {
            $result = $run->counts() ? $run->result : null;
            if ($result instanceof SpeedRecord) {
                $speeds[] = new SpeedEvidence($run->asSource(), $run->chain, $result);
            } elseif ($result instanceof ProofRecord) {
                $proofs[] = new ProofEvidence($run->asSource(), $run->chain, self::withCourse($run, $result), $run->beside === null);
            } elseif ($result instanceof SustainedRecord) {
                $sustained[] = new LongWriteEvidence($run->asSource(), $run->chain, $result->course, $result->write->bytes);
            }
        }

        return [$speeds, $proofs, $sustained];
    }

    /** The course of a proof of before, which was not kept with it, is read from its trace. */
    private static function withCourse(Run $run, ProofRecord $record): ProofRecord
    {
        if ($record->course !== null || $record->screen !== null) {
            return $record;
        }
        $sample = RunSample::query()->find($run->id);

        return $sample === null ? $record : $record->withCourse(LongWrite::traced($sample->traces['write']));
    }

    /** Derives the verdict anew and keeps it for the tray. */
    public static function refresh(Card $card): Verdict
    {
        $runs = self::runs($card);
        $verdict = self::keep($card, self::of($card, $runs));
        DueBook::refresh($card, $runs);

        return $verdict;
    }

    /** The same for the card of a run that came in or counts no longer, and for those that hang on what it showed of its reader. */
    public static function refreshAround(Run $run): void
    {
        $run = Run::query()
            ->with(['card', 'slot'])
            ->findOrFail($run->id);
        self::refresh($run->card);
        self::refreshConcerned($run);
    }

    /**
     * Of the other cards alone, once all is written down: a verdict is derived and can be derived again (`tally:judge --all`), so
     * none of them holds up or takes back what was filed.
     */
    public static function refreshConcerned(Run $run): void
    {
        DB::afterCommit(function () use ($run): void {
            rescue(function () use ($run): void {
                ReaderReach::concerned($run)->each(self::refresh(...));
            });
        });
    }

    /**
     * The same for cards that nothing was done to yet, where many are entered at once.
     *
     * @param  Collection<int, Card>  $cards
     */
    public static function refreshNew(Collection $cards, HouseKnowledge $house): void
    {
        $sisters = new SistersAtOnce($cards);
        $changed = [];
        foreach ($cards as $card) {
            $verdict = Judge::judge(
                new Evidence($card->label(), looked: false, house: new House($house->findings($card, $sisters->of($card)))),
            );
            $next = $verdict->nextWhen($card->overruled);
            if ($card->verdict !== $verdict->kind || $card->next_step !== $next) {
                $changed["{$verdict->kind->value} {$next->value}"] = [
                    ...$changed["{$verdict->kind->value} {$next->value}"] ?? [],
                    $card->id,
                ];
            }
        }
        foreach ($changed as $what => $ids) {
            [$verdict, $next] = explode(' ', $what);
            Card::query()
                ->whereIn('id', $ids)
                ->update(['verdict' => $verdict, 'next_step' => $next]);
        }
    }

    private static function keep(Card $card, Evidence $evidence): Verdict
    {
        $verdict = Judge::judge($evidence);
        $card
            ->forceFill([
                'verdict' => $verdict->kind,
                'next_step' => $verdict->nextWhen($card->overruled),
                'keeps_up' => KeptUp::among($evidence)[0][1] ?? null,
            ])
            ->save();

        return $verdict;
    }

    /** @return Collection<int, Run> finished or not, in order */
    public static function runs(Card $card): Collection
    {
        return $card
            ->runs()
            ->with(['slot', 'void'])
            ->orderBy('id')
            ->get()
            ->toBase();
    }
}
