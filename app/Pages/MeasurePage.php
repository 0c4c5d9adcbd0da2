<?php

declare(strict_types=1);

namespace App\Pages;

use App\Models\Card;
use App\Models\Run;
use App\Models\Slot;
use App\Props\Measure\ClaimLineProps;
use App\Props\Measure\ClaimWayProps;
use App\Props\Run\RunProps;
use App\Runs\ChainRecord;
use App\Runs\CopyRecord;
use App\Runs\ProofRecord;
use App\Runs\RunKind;
use App\Runs\RunSource;
use App\Runs\RunState;
use App\Runs\SpeedRecord;
use App\Runs\SustainedRecord;
use Illuminate\Support\Collection;
use Tally\Quantity\Rate;
use Tally\Reading\SpeedReading;
use Tally\Reading\Suspicion;
use Tally\Reading\WayReading;

/** The claim line and the table of runs. */
final readonly class MeasurePage
{
    /** @param  Collection<int, Run>  $runs */
    public static function claimLine(Card $card, Collection $runs): ClaimLineProps
    {
        $label = $card->label();
        $counting = $runs->filter(fn (Run $run): bool => $run->kind === RunKind::Speed && self::hasSpeeds($run) && $run->counts());
        // A number that nobody trusts is shown only while there is no other.
        $run = $counting->last(fn (Run $run): bool => self::isTrusted(self::reading($card, $run))) ?? $counting->last();
        $reading = $run === null ? null : self::reading($card, $run);
        $mark = $label->topMark();
        // Before anything is measured, the wall is the card's own bus, if it says which it has.
        $wall = $reading === null ? $label->bus?->ceiling()->usable() : $reading->path->usable();
        $write = self::way('write', $reading?->write, $label->write, $run, $mark?->floor(), $mark?->value);

        return new ClaimLineProps(
            [$write, self::way('read', $reading?->read, $label->readClaim(), $run, null, null)],
            $wall === null || $wall->megabytes() > 1e6 ? null : $wall->megabytes(),
            $reading === null ? "{$label->bus?->label()} bus" : $reading->path->pinch()->name,
            $reading === null ? null : self::caption($run, $reading),
        );
    }

    /**
     * @param  Collection<int, Run>  $runs
     * @return list<RunProps> the newest first
     */
    public static function table(Card $card, Collection $runs): array
    {
        return array_values($runs->reverse()
            ->reject(fn (Run $run): bool => $run->state->isGoing())
            ->map(fn (Run $run): RunProps => match ($run->kind) {
                RunKind::Speed => self::speedRow($card, $run),
                RunKind::Sustained => self::sustainedRow($run),
                RunKind::Files => self::plainRow($run, implode(' ', $run->result === null ? [] : array_slice(RunPage::files($run->result), 1))),
                RunKind::Copy => self::copyRow($card, $run),
                RunKind::Proof, RunKind::Screen => self::proofRow($run),
            })
            ->all());
    }

    private static function hasSpeeds(Run $run): bool
    {
        return $run->result !== null && ($run->result->array('writes') !== [] || $run->result->array('reads') !== []);
    }

    private static function reading(Card $card, Run $run): SpeedReading
    {
        assert($run->result !== null);

        return SpeedRecord::unpack($run->result)->read(ChainRecord::unpack($run->chain), $card->label());
    }

    /** Whether no number of it is under suspicion. */
    private static function isTrusted(SpeedReading $reading): bool
    {
        return array_filter([$reading->write, $reading->read], fn (?WayReading $way): bool => $way !== null && ! $way->isTrusted()) === [];
    }

    private static function caption(Run $run, SpeedReading $reading): string
    {
        [$writes, $reads] = [$reading->write->summary->count ?? 0, $reading->read->summary->count ?? 0];
        $count = fn (int $times, string $of): string => $times === 0 ? '' : ($times === 1 ? "one {$of}" : "{$times} {$of}s");
        $times = match (true) {
            $writes === 1 && $reads === 1 => 'a single look',
            $writes === $reads => "{$writes} runs each way",
            default => implode(', ', array_filter([$count($writes, 'write'), $count($reads, 'read')], fn (string $part): bool => $part !== '')),
        };

        return "{$times}, {$reading->covers()}, {$run->name()}".($run->state === RunState::Done ? '' : " ({$run->state->value})");
    }

    private static function way(string $way, ?WayReading $reading, ?Rate $claim, ?Run $run, ?Rate $floor, ?string $mark): ClaimWayProps
    {
        $rates = $run?->result?->array("{$way}s") ?? [];

        return new ClaimWayProps(
            $way,
            array_map(fn (float $rate): float => $rate / 1e6, array_values(array_filter($rates, is_float(...)))),
            $reading?->median()->megabytes(),
            $claim?->megabytes(),
            $floor?->megabytes(),
            $mark,
            $reading === null || $reading->isTrusted() ? null : self::why($reading),
        );
    }

    private static function why(WayReading $reading): string
    {
        return implode('; ', array_map(fn (Suspicion $suspicion): string => $suspicion->sentence(), $reading->suspicions));
    }

    private static function speedRow(Card $card, Run $run): RunProps
    {
        $reading = self::hasSpeeds($run) ? self::reading($card, $run) : null;
        $suspect = array_filter([$reading?->write, $reading?->read], fn (?WayReading $way): bool => $way !== null && ! $way->isTrusted());
        $notes = array_filter([
            $run->message,
            ...array_map(self::why(...), $suspect),
            $reading?->write?->summary->isSingleLook() === true ? 'a single look' : null,
            $reading?->write?->summary->isUnsteady() === true ? 'unsteady: run again' : null,
            ...array_map(fn (WayReading $way): ?string => $way->outliers === [] ? null : $way->apart(), array_values(array_filter([$reading?->write, $reading?->read]))),
            $run->source === RunSource::Device ? null : $run->source->words(),
            ...self::standing($run),
        ], fn (?string $note): bool => $note !== null);

        return new RunProps(
            $run->id, $run->kind->label(), $run->state->value, self::chain($run),
            $reading === null ? '–' : "{$reading->covers()}",
            $reading?->write?->median()->megabytes(),
            $reading?->read?->median()->megabytes(),
            $reading?->write?->summary->variation(),
            $notes === [] && self::isHouseStandard($reading) ? 'house standard' : implode('; ', $notes),
            $suspect !== [] || $run->void !== null,
        );
    }

    /** Five runs of the first gigabyte. */
    private static function isHouseStandard(?SpeedReading $reading): bool
    {
        return $reading?->region->count === 1_000_000_000 && $reading->write?->summary->count === 5;
    }

    private static function sustainedRow(Run $run): RunProps
    {
        $record = $run->result === null ? null : SustainedRecord::unpack($run->result);

        return new RunProps(
            $run->id, $run->kind->label(), $run->state->value, self::chain($run),
            $record === null ? '–' : "first {$record->write->bytes->decimal()}",
            $record?->write->rate()?->megabytes(),
            null,
            null,
            implode('; ', array_filter([...self::standing($run), $run->message, $record?->floor === null ? null : "never under {$record->floor->print()} over {$record->window} s"], fn (?string $part): bool => $part !== null)),
            $run->void !== null,
        );
    }

    private static function proofRow(Run $run): RunProps
    {
        $record = $run->result === null ? null : ProofRecord::unpack($run->result);

        return new RunProps(
            $run->id, $run->kind->label(), $run->state->value, self::chain($run),
            $record === null ? '–' : "all {$record->size->decimal()}",
            $record?->write->rate()?->megabytes(),
            $record?->read->rate()?->megabytes(),
            null,
            implode('; ', [...self::standing($run), $run->message ?? ($record === null ? '' : "{$record->covered()->decimal()} read back, {$record->bad()->decimal()} wrong")]),
            $run->void !== null,
        );
    }

    private static function copyRow(Card $card, Run $run): RunProps
    {
        $reading = $run->result === null ? null : CopyRecord::unpack($run->result)->reading();
        $isTooFast = $reading?->isTooFast(ChainRecord::unpack($run->chain)) === true;

        return new RunProps(
            $run->id, $run->kind->label(), $run->state->value, self::chain($run), $reading === null ? '–' : $reading->bytes->decimal().($reading->files === null ? '' : ", {$reading->files} files"),
            null, $reading?->rate()?->megabytes(), null,
            implode('; ', array_filter([...self::standing($run), $run->message, $run->source === RunSource::Device ? null : $run->source->words(), $reading === null ? null : "{$reading->total()->print()} until {$reading->done()->words()}", $isTooFast ? Suspicion::FasterThanChain->sentence() : null], fn (?string $part): bool => $part !== null)),
            $run->void !== null || $isTooFast,
        );
    }

    private static function plainRow(Run $run, string $note): RunProps
    {
        return new RunProps($run->id, $run->kind->label(), $run->state->value, self::chain($run), '–', null, null, null,
            implode('; ', array_filter([...self::standing($run), $run->message, $note], fn (?string $part): bool => $part !== null && $part !== '')), $run->void !== null);
    }

    /** @return list<string> why it counts no longer, or is kept apart */
    private static function standing(Run $run): array
    {
        return array_values(array_filter([
            $run->void === null ? null : "voided: {$run->void->reason}",
            $run->beside === null ? null : "measured beside {$run->beside}: kept apart",
        ], fn (?string $part): bool => $part !== null));
    }

    private static function chain(Run $run): string
    {
        $path = ChainRecord::unpack($run->chain);

        return $run->slot instanceof Slot ? "{$run->slot->name} · {$path->links[0]->name}" : $path->describe();
    }
}
