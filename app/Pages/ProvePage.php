<?php

declare(strict_types=1);

namespace App\Pages;

use App\Models\Card;
use App\Models\Run;
use App\Models\RunSample;
use App\Props\Prove\ClassProps;
use App\Props\Prove\CoreProps;
use App\Props\Prove\PatchProps;
use App\Props\Prove\TraceProps;
use App\Runs\ProofRecord;
use App\Runs\RunKind;
use App\Runs\RunState;
use Illuminate\Support\Collection;
use Tally\Pattern\BlockClass;
use Tally\Pattern\Patch;
use Tally\Quantity\Bytes;
use Tally\Reading\Condition;

/** The core sample of a card's newest proof that read anything back. */
final readonly class ProvePage
{
    /** @param  Collection<int, Run>  $runs */
    public static function core(Card $card, Collection $runs): ?CoreProps
    {
        $run = $runs->last(fn (Run $run): bool => $run->kind === RunKind::Proof && $run->result !== null && $run->result->array('patches') !== []);
        if ($run === null || $run->result === null) {
            return null;
        }
        $record = ProofRecord::unpack($run->result);

        return new CoreProps(
            $record->size->count,
            $card->capacity,
            $record->diagnosis->capacity->count,
            $record->diagnosis->wrap,
            $record->diagnosis->condition,
            array_map(fn (Patch $patch): PatchProps => new PatchProps($patch->class, $patch->offset, $patch->length, $patch->source), $record->patches),
            self::classes($record),
            $record->grain,
            self::summary($record),
            self::caption($run, $record),
            self::trace($run, $record),
        );
    }

    /** @return list<ClassProps> */
    private static function classes(ProofRecord $record): array
    {
        return array_map(function (BlockClass $class) use ($record): ClassProps {
            $bytes = $record->classes[$class->value] ?? 0;

            return new ClassProps($class, $bytes, Bytes::of($bytes)->decimal(), $class->meaning());
        }, BlockClass::cases());
    }

    private static function summary(ProofRecord $record): string
    {
        $capacity = $record->diagnosis->capacity;
        $rest = $record->covered()->count < $record->size->count
            ? " {$record->covered()->decimal()} of {$record->size->decimal()} was read back; the rest is open." : '';

        return match ($record->diagnosis->condition) {
            Condition::Whole => "All of {$record->covered()->decimal()} came back as written.",
            Condition::Wraps => "The card starts over every {$capacity->decimal()}: only the last lap holds, every earlier address gives back data that was written a whole number of laps later.",
            Condition::Drops => "The first {$capacity->decimal()} holds; nothing after that was kept.",
            Condition::Faulty => "{$record->bad()->decimal()} came back wrong, the first at byte ".self::grouped($record->firstBad ?? 0)
                .($record->wrongBits === 0 ? '.' : '; '.self::grouped($record->wrongBits).' bits are wrong.'),
            Condition::Unknown => 'Nothing was read back.',
        }.$rest;
    }

    private static function grouped(int $count): string
    {
        return number_format($count, 0, '.', "\u{202F}");
    }

    private static function caption(Run $run, ProofRecord $record): string
    {
        $slot = $run->slot === null ? 'from the terminal' : "in {$run->slot->name}";
        $state = $run->state === RunState::Done ? '' : " ({$run->state->value})";

        return "Full proof, {$run->name()}{$state}, {$slot}: {$record->write->bytes->decimal()} written in {$record->write->span->print()}, read back in {$record->read->span->print()}";
    }

    private static function trace(Run $run, ProofRecord $record): ?TraceProps
    {
        $sample = RunSample::query()->find($run->id);

        return $sample === null ? null : new TraceProps($record->size->count, self::megabytes($sample->traces['write']), self::megabytes($sample->traces['read']));
    }

    /**
     * @param  list<array{float, float}>  $points  end offset, bytes a second
     * @return list<array{float, float}> end offset, MB/s
     */
    private static function megabytes(array $points): array
    {
        return array_map(fn (array $point): array => [$point[0], $point[1] / 1e6], $points);
    }
}
