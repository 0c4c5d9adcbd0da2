<?php

declare(strict_types=1);

namespace App\Pages\Card;

use App\Models\Cards\Card;
use App\Models\Cards\ResultOfOthers;
use App\Models\Runs\Run;
use App\Models\Runs\RunSample;
use App\Models\Runs\RunState;
use App\Models\Stations\SlotKind;
use App\Pages\House\ErasedPage;
use App\Pages\Page;
use Illuminate\Support\Collection;
use Tally\Quantity\Bytes;
use Tally\Record\ProofRecord;

/** The core sample of a card's newest proof that read anything back. */
final readonly class ProvePage extends Page
{
    /**
     * @param  list<ErasureProps>  $erasures
     * @param  list<TheirsProps>  $theirs
     */
    public function __construct(
        public CardProps $card,
        public ?CoreProps $core,
        public ?UnfinishedProofProps $unfinished,
        public ?ProvingWaysProps $ways,
        public array $erasures,
        public array $theirs,
        public string $by,
        public ?RunningProps $running,
        public OrderProps $order,
        public MarginProps $margin,
    ) {}

    /** @param  Collection<int, Run>  $runs */
    public static function core(Card $card, Collection $runs): ?CoreProps
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
     */
    public static function unfinished(Collection $runs): ?UnfinishedProofProps
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

    private static function caption(Run $run, ProofRecord $record): string
    {
        $slot = $run->slot === null ? 'from the terminal' : "in {$run->slot->name}";
        $slot .= $run->isOfPlainFolder() ? ', '.Run::OF_A_FOLDER : '';
        $state = $run->state === RunState::Done ? '' : " ({$run->state->value})";

        return ucfirst($run->kind->label()).
            ", {$run->name()}{$state}, {$slot}: {$record->write->bytes->decimal()} written in {$record->write->span->print()}, read ".
            "pass {$record->read->span->print()}";
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
