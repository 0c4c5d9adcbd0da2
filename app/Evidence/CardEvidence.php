<?php

declare(strict_types=1);

namespace App\Evidence;

use App\Gear\Rig;
use App\Models\Card;
use App\Models\Run;
use App\Runs\ChainRecord;
use App\Runs\ProofRecord;
use App\Runs\RunKind;
use App\Runs\RunSource;
use App\Runs\SpeedRecord;
use App\Runs\SustainedRecord;
use Illuminate\Support\Collection;
use Illuminate\Support\Fluent;
use Tally\Verdict\Evidence;
use Tally\Verdict\Judge;
use Tally\Verdict\ProofEvidence;
use Tally\Verdict\SpeedEvidence;
use Tally\Verdict\SustainedEvidence;
use Tally\Verdict\Verdict;

/** Gathers what is known of a card, and keeps its verdict up to date. */
final readonly class CardEvidence
{
    /** @param  Collection<int, Run>  $runs  of the card, in order */
    public static function of(Card $card, Collection $runs): Evidence
    {
        $seen = SeenOnCard::of($card);

        return new Evidence(
            $card->label(), self::speeds($card, $runs), self::proofs($runs),
            (new Acquaintance)->findings($card), $seen->thatCounts(), $seen->isComplete($card->label()), self::sustained($runs),
            fn (): array => Rig::reaches($card),
        );
    }

    /**
     * @param  Collection<int, Run>  $runs  of the card, in order
     * @return list<SpeedEvidence>
     */
    public static function speeds(Card $card, Collection $runs): array
    {
        $label = $card->label();
        $speeds = [];
        foreach (self::ended($runs, RunKind::Speed) as $run) {
            $reading = SpeedRecord::unpack($run->result ?? new Fluent)->read(ChainRecord::unpack($run->chain), $label);
            $speeds[] = new SpeedEvidence($run->name(), $reading, $run->source->words());
        }

        return $speeds;
    }

    /**
     * @param  Collection<int, Run>  $runs
     * @return list<SustainedEvidence>
     */
    private static function sustained(Collection $runs): array
    {
        $found = array_map(
            fn (Run $run): ?SustainedEvidence => SustainedRecord::unpack($run->result ?? new Fluent)->evidence($run->name(), ChainRecord::unpack($run->chain)),
            self::ended($runs, RunKind::Sustained),
        );

        return array_values(array_filter($found, fn (?SustainedEvidence $one): bool => $one !== null));
    }

    /**
     * @param  Collection<int, Run>  $runs
     * @return list<ProofEvidence>
     */
    private static function proofs(Collection $runs): array
    {
        return array_map(
            fn (Run $run): ProofEvidence => ProofRecord::unpack($run->result ?? new Fluent)->evidence($run->name().($run->source === RunSource::File ? ", {$run->source->words()}" : ''), ChainRecord::unpack($run->chain), $run->beside === null),
            [...self::ended($runs, RunKind::Screen), ...self::ended($runs, RunKind::Proof)],
        );
    }

    /**
     * @param  Collection<int, Run>  $runs
     * @return list<Run>
     */
    private static function ended(Collection $runs, RunKind $kind): array
    {
        return array_values($runs->filter(fn (Run $run): bool => $run->kind === $kind && $run->counts())->all());
    }

    /** Derives the verdict anew and keeps it for the tray. */
    public static function refresh(Card $card): Verdict
    {
        return self::keep($card, self::of($card, self::runs($card)));
    }

    /** The same for a card that nothing was done to yet, where many are entered at once. */
    public static function refreshNew(Card $card, Acquaintance $house): Verdict
    {
        return self::keep($card, new Evidence($card->label(), origin: $house->findings($card), looked: false));
    }

    private static function keep(Card $card, Evidence $evidence): Verdict
    {
        $verdict = Judge::judge($evidence);
        $card->forceFill(['verdict' => $verdict->kind, 'next_step' => $verdict->next])->save();

        return $verdict;
    }

    /** @return Collection<int, Run> finished or not, in order */
    public static function runs(Card $card): Collection
    {
        return $card->runs()->with(['slot', 'void'])->orderBy('id')->get()->toBase();
    }
}
