<?php

declare(strict_types=1);

namespace App\Pages\Card;

use App\Models\Cards\Card;
use App\Models\Cards\ResultOfOthers;
use App\Models\Runs\Run;
use App\Models\Runs\RunSample;
use App\Models\Runs\RunState;
use App\Models\Stations\SlotKind;
use App\Models\When;
use App\Pages\House\ErasedPage;
use App\Pages\Page;
use Illuminate\Support\Collection;
use Tally\Quantity\Bytes;
use Tally\Record\ProofRecord;
use Tally\Verdict\VerdictKind;

/**
 * The core sample of a card's newest proof that read anything back.
 *
 * @phpstan-import-type CardProps from CardHeading
 * @phpstan-import-type CoreProps from CorePicture
 * @phpstan-import-type ErasureProps from ErasedPage
 * @phpstan-import-type MarginProps from Margin
 * @phpstan-import-type ProvingWaysProps from Orders
 * @phpstan-import-type RunningProps from Orders
 *
 * @phpstan-type TheirsProps array{ // What another house says of the card, in a file that no station this house knows has signed.
 *     id: int,
 *     verdict: VerdictKind, // theirs; it bears nothing here
 *     runs: int,
 *     madeAt: string,
 *     by: string, // who signed it, as far as that can be told
 *     readIn: string, // who read it in, and when
 * }
 * @phpstan-type TraceProps array{ // Speed along the bytes.
 *     size: int,
 *     write: list<array{float, float}>, // end offset in bytes, MB/s
 *     read: list<array{float, float}>, //
 * }
 * @phpstan-type UnfinishedProofProps array{ // A proof that can go on, or be read once more.
 *     run: int,
 *     where: string, // how far it came, in words
 *     again: bool, // whether it is at its end and can be read back once more
 * }
 */
final readonly class ProvePage extends Page
{
    /**
     * @param  list<ErasureProps>  $erasures
     * @param  list<TheirsProps>  $theirs
     * @param  CardProps  $card
     * @param  CoreProps|null  $core
     * @param  UnfinishedProofProps|null  $unfinished
     * @param  ProvingWaysProps|null  $ways
     * @param  RunningProps|null  $running
     * @param  MarginProps  $margin
     */
    public function __construct(
        public array $card,
        public ?array $core,
        public ?array $unfinished,
        public ?array $ways,
        public array $erasures,
        public array $theirs,
        public string $by,
        public ?array $running,
        public OrderProps $order,
        public array $margin,
    ) {}

    /**
     * @param  Collection<int, Run>  $runs
     * @return CoreProps|null
     */
    public static function core(Card $card, Collection $runs): ?array
    {
        $run = $runs->last(fn (Run $run): bool => $run->proof() !== null && $run->proof()->patches !== []);
        $record = $run?->proof();
        if ($run === null || $record === null) {
            return null;
        }

        return CorePicture::of($record, $card->capacity, self::caption($run, $record), self::trace($run, $record));
    }

    /**
     * The newest proof, if it can go on or be read once more.
     *
     * @param  Collection<int, Run>  $runs
     * @return UnfinishedProofProps|null
     */
    public static function unfinished(Collection $runs): ?array
    {
        $run = $runs->last(fn (Run $run): bool => $run->kind->isProof());
        if ($run === null || ! ($run->canContinue() || $run->canReadAgain())) {
            return null;
        }
        $left = $run->checkpoint;
        [$written, $read] = [Bytes::of($left->written ?? 0)->decimal(), Bytes::of($left->read ?? 0)->decimal()];
        $size = ($left->size ?? Bytes::of(0))->decimal();
        $where = match (true) {
            $run->canReadAgain() => 'What '.
                $run->name().
                ' wrote still lies on the card. Taken out and put in again, it can be read once more: a cache inside the card would '.
                'be found out.',
            ($left->read ?? 0) > 0 => ucfirst($run->name())." was left with {$read} of {$size} read back.",
            default => ucfirst($run->name())." was left with {$written} of {$size} written.",
        };

        return ['run' => $run->id, 'where' => $where, 'again' => $run->canReadAgain()];
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
                    fn (ResultOfOthers $one): array => [
                        'id' => $one->id,
                        'verdict' => $one->verdict,
                        'runs' => $one->runs,
                        'madeAt' => $one->made_at,
                        'by' => $one->key === null ? 'signed by nobody' : "signed as “{$one->station}” with a key this house does not know",
                        'readIn' => "{$one->recorded_by}, {$one->created_at->format(When::DAY)}",
                    ],
                )
                ->all(),
        );
    }

    private static function caption(Run $run, ProofRecord $record): string
    {
        $slot = $run->slot === null ? 'from the terminal' : "in {$run->slot->name}";
        $slot .= $run->isOfPlainFolder() ? ', '.Run::OF_A_FOLDER : '';
        $state = $run->state === RunState::Done ? '' : " ({$run->state->value})";

        return ucfirst($run->kind->label()).
            ", {$run->name()}{$state}, {$slot}: {$record->write->bytes->decimal()} written in {$record->write->span->print()}, read ".
            "pass {$record->read->span->print()}";
    }

    /** @return TraceProps|null */
    private static function trace(Run $run, ProofRecord $record): ?array
    {
        $traces = RunSample::query()->find($run->id)?->traces;

        return $traces === null || $traces['write'] === []
            ? null
            : [
                'size' => $record->size->count,
                'write' => self::megabytes($traces['write']),
                'read' => self::megabytes($traces['read']),
            ];
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
