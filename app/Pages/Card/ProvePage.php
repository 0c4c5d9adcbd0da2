<?php

declare(strict_types=1);

namespace App\Pages\Card;

use App\Models\Cards\Card;
use App\Models\Cards\ResultOfOthers;
use App\Models\Runs\Run;
use App\Models\Runs\RunSample;
use App\Models\Stations\SlotKind;
use App\Pages\House\ErasedPage;
use App\Props\Erased\ErasureProps;
use App\Props\Prove\ClassProps;
use App\Props\Prove\CoreProps;
use App\Props\Prove\PatchProps;
use App\Props\Prove\TheirsProps;
use App\Props\Prove\TraceProps;
use App\Props\Prove\UnfinishedProofProps;
use App\Runs\RunState;
use Illuminate\Support\Collection;
use Illuminate\Support\Fluent;
use Tally\Pattern\BlockClass;
use Tally\Pattern\Patch;
use Tally\Quantity\Bytes;
use Tally\Reading\Condition;
use Tally\Record\ProofRecord;

/** The core sample of a card's newest proof that read anything back. */
final readonly class ProvePage
{
    /** @param  Collection<int, Run>  $runs */
    public static function core(Card $card, Collection $runs): ?CoreProps
    {
        $run = $runs->last(fn (Run $run): bool => $run->proof() !== null && $run->proof()->patches !== []);
        $record = $run?->proof();
        if ($run === null || $record === null) {
            return null;
        }

        return new CoreProps(
            $record->size->count,
            $card->capacity->count,
            $record->diagnosis->capacity->count,
            $record->diagnosis->wrap,
            $record->diagnosis->condition,
            array_map(
                fn (Patch $patch): PatchProps => new PatchProps($patch->class, $patch->offset, $patch->length, $patch->source),
                $record->patches,
            ),
            self::classes($record),
            $record->grain,
            self::summary($record),
            self::caption($run, $record),
            self::trace($run, $record),
            $record->diagnosis->wrapFrom,
            $record->diagnosis->exact,
            $record->points(),
            [$record->diagnosis->condition->because(), ...$record->diagnosis->also],
            $record->proves(),
            $record->leavesOpen(),
            $record->alarmAt,
            self::peg($record),
            $record->hasLooseCapacity(),
            $record->diagnosis->condition->upTo(),
            $record->diagnosis->condition->behind(),
            self::really($record),
        );
    }

    /**
     * The newest proof, if it can go on or be read once more.
     *
     * @param  Collection<int, Run>  $runs
     */
    public static function unfinished(Collection $runs): ?UnfinishedProofProps
    {
        $run = $runs->last(fn (Run $run): bool => $run->kind->isProof());
        if ($run === null || ! ($run->canContinue() || $run->canReadAgain())) {
            return null;
        }
        $checkpoint = $run->checkpoint ?? new Fluent();
        [$written, $read, $size] = array_map(fn (string $key): string => Bytes::of($checkpoint->integer($key))->decimal(), [
            'written',
            'read',
            'size',
        ]);
        $where = match (true) {
            $run->canReadAgain() => 'What '.
                $run->name().
                ' wrote still lies on the card. Taken out and put in again, it can be read once more: a cache inside the card would '.
                'be found out.',
            $checkpoint->integer('read') > 0 => ucfirst($run->name())." was left with {$read} of {$size} read back.",
            default => ucfirst($run->name())." was left with {$written} of {$size} written.",
        };

        return new UnfinishedProofProps($run->id, $where, $run->canReadAgain());
    }

    /**
     * @param  Collection<int, Run>  $runs
     * @return list<ErasureProps> the newest first
     */
    public static function erasures(Card $card, Collection $runs): array
    {
        // Only a raw run erases, or one from the terminal, which has no slot.
        $erases = fn (Run $run): bool => $run->kind->isProof() && ($run->slot === null || $run->slot->kind === SlotKind::Raw);
        if (! $runs->contains($erases)) {
            return [];
        }

        return ErasedPage::of($card, most: 50);
    }

    /** @return list<TheirsProps> the newest first */
    public static function theirs(Card $card): array
    {
        return array_values(
            ResultOfOthers::query()
                ->where('card_id', $card->id)
                ->latest('id')
                ->limit(20)
                ->get(['id', 'verdict', 'runs', 'made_at', 'station', 'key', 'recorded_by', 'created_at'])
                ->map(
                    fn (ResultOfOthers $one): TheirsProps => new TheirsProps(
                        $one->id,
                        $one->verdict,
                        $one->runs,
                        $one->made_at,
                        $one->key === null ? 'signed by nobody' : "signed as “{$one->station}” with a key this house does not know",
                        "{$one->recorded_by}, {$one->created_at->format('j M Y')}",
                    ),
                )
                ->all(),
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
        $points = $record->points();
        if ($points !== null && $record->isOnlyScreened()) {
            return "All {$points} places that were drawn, and the dense stretch at the beginning, came back as written. The rest is open.";
        }
        $rest =
            $record->alarmAt !== null || $points !== null
                ? ''
                : ($record->covered()->count < $record->size->count
                    ? " {$record->covered()->decimal()} of {$record->size->decimal()} was read back; the rest is open."
                    : '');

        return match ($record->diagnosis->condition) {
            Condition::Whole => "All of {$record->covered()->decimal()} came back as written.",
            Condition::Wraps => self::wraps($record),
            Condition::Drops => "The first {$capacity->decimal()} holds; nothing after that was kept.",
            Condition::Corrupts => "The first {$capacity->decimal()} holds; nearly everything after that came back changed.",
            Condition::Aliases => ($record->diagnosis->exact ? '' : 'At most about ').
                "{$capacity->decimal()} holds; of the rest most gave back what was written to other addresses.",
            Condition::Refuses => "The first {$capacity->decimal()} holds; from there on the card answered with errors.",
            Condition::Faulty => "{$record->bad()->decimal()} came back wrong, the first at byte ".
                self::grouped($record->firstBad ?? 0).
                ($record->wrongBits === 0 ? '.' : '; '.self::grouped($record->wrongBits).' bits are wrong.'),
            Condition::Unknown => 'Nothing was read back.',
        }.$rest;
    }

    /** What is said at the peg of the capacity. */
    private static function peg(ProofRecord $record): string
    {
        $about = $record->diagnosis->exact ? '' : 'about ';
        $size = $record->diagnosis->capacity->decimal();

        return match ($record->diagnosis->condition) {
            Condition::Whole => $record->isOnlyScreened() ? 'not proven' : "proven {$size}",
            Condition::Wraps, Condition::Drops, Condition::Corrupts => "true capacity {$about}{$size}",
            Condition::Aliases => ($record->diagnosis->exact ? '' : 'at most about ')."{$size} holds, mixed up",
            Condition::Refuses => "errors from {$about}{$size} on",
            Condition::Faulty => "{$about}{$size} holds, not all",
            Condition::Unknown => 'nothing proven',
        };
    }

    private static function really(ProofRecord $record): ?string
    {
        return match ($record->diagnosis->condition) {
            Condition::Wraps => 'true capacity; it starts over every '.Bytes::of($record->diagnosis->wrap ?? 0)->decimal(),
            Condition::Drops, Condition::Corrupts => 'true capacity: where its memory ends',
            Condition::Aliases => 'true capacity: what holds'.($record->diagnosis->exact ? '' : ', at most'),
            default => null,
        };
    }

    private static function wraps(ProofRecord $record): string
    {
        $lap = Bytes::of($record->diagnosis->wrap ?? 0)->decimal();
        $from = $record->diagnosis->wrapFrom ?? 0;

        return $from === 0
            ? "The card starts over every {$lap}: only the last lap holds, every earlier address gives back data that was written a ".
                'whole number of laps away.'
            : 'The first '.
                    Bytes::of($from)->decimal().
                    " is spared; behind it the card starts over every {$lap}, so that it ".
                    "keeps {$record->diagnosis->capacity->decimal()} in all.";
    }

    private static function grouped(int $count): string
    {
        return number_format($count, 0, '.', "\u{202F}");
    }

    private static function caption(Run $run, ProofRecord $record): string
    {
        $slot = $run->slot === null ? 'from the terminal' : "in {$run->slot->name}";
        $state = $run->state === RunState::Done ? '' : " ({$run->state->value})";

        return ucfirst($run->kind->label()).
            ", {$run->name()}{$state}, {$slot}: {$record->write->bytes->decimal()} written in {$record->write->span->print()}, read ".
            "back in {$record->read->span->print()}";
    }

    private static function trace(Run $run, ProofRecord $record): ?TraceProps
    {
        $sample = RunSample::query()->find($run->id);

        return $sample === null || $sample->traces['write'] === []
            ? null
            : new TraceProps($record->size->count, self::megabytes($sample->traces['write']), self::megabytes($sample->traces['read']));
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
