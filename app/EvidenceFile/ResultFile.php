<?php

declare(strict_types=1);

namespace App\EvidenceFile;

use App\Evidence\CardEvidence;
use App\Models\Cards\Card;
use App\Models\Cards\Inspection;
use App\Models\Cards\Overrule;
use App\Models\Runs\Erasure;
use App\Models\Runs\Run;
use App\Models\Runs\RunSample;
use App\Models\When;
use Tally\Label\Mark;
use Tally\Value\Values;
use Tally\Verdict\Judge;

/** Everything that is known of a card, as one open file with a hash. Its schema is docs/result.schema.json. */
final readonly class ResultFile
{
    public const FORMAT = 'gritty-tally-result';

    public const VERSION = 1;

    /** @return array<string, mixed> */
    public static function of(Card $card): array
    {
        $runs = CardEvidence::runs($card);
        $verdict = Judge::judge(CardEvidence::of($card, $runs));
        $madeAt = now()->utc()->format(When::ISO_MOMENT);
        $file = [
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'made_at' => $madeAt,
            'card' => self::card($card),
            'inspection' => self::inspection($card),
            'runs' => array_values($runs->reject(fn (Run $run): bool => $run->state->isGoing())->map(self::run(...))->all()),
            'erasures' => self::erasures($card),
            'verdict' => ['kind' => $verdict->kind->value, ...array_diff_key((array) Values::plain($verdict), ['verdict' => true])],
            'overrules' => self::overrules($card),
        ];

        $hash = self::hash($file);

        return [...$file, 'hash' => $hash, 'signature' => StationKeys::sign($hash, $madeAt)];
    }

    /**
     * Of all but itself, its signature and the moment it was made, so that it stays the same until something is added.
     *
     * @param  array<mixed>  $file
     */
    public static function hash(array $file): string
    {
        return Canonical::hash(array_diff_key($file, ['hash' => true, 'made_at' => true, 'signature' => true]));
    }

    /** @return list<array<string, mixed>> what people said instead, also what was taken back */
    private static function overrules(Card $card): array
    {
        return array_values(
            $card
                ->overrules()
                ->get()
                ->map(
                    fn (Overrule $one): array => [
                        'derived' => $one->derived->value,
                        'verdict' => $one->verdict->value,
                        'reason' => $one->reason,
                        'by' => $one->recorded_by,
                        'on' => $one->created_at->utc()->format(When::ISO_MOMENT),
                        'withdrawn' => $one->withdrawn,
                    ],
                )
                ->all(),
        );
    }

    /** @return array<string, mixed> */
    private static function card(Card $card): array
    {
        return [
            'tag' => $card->tag,
            'name' => $card->name,
            'label' => $card->line,
            'form' => $card->form->value,
            'capacity' => $card->capacity->count,
            'family' => $card->family?->value,
            'bus' => $card->bus?->value,
            'marks' => array_map(fn (Mark $mark): string => $mark->value, array_values($card->marks->all())),
            'read' => $card->read?->bytesPerSecond,
            'write' => $card->write?->bytesPerSecond,
            'sustained' => $card->sustained?->bytesPerSecond,
            'times' => $card->times,
            'contact_rows' => $card->contact_rows,
            'serial' => $card->serial,
            'back_code' => $card->back_code,
            'lot' => $card->lot,
            'price' => $card->price === null ? null : ['minor' => $card->price, 'currency' => $card->currency],
            'seller' => $card->seller,
            'order' => $card->order_no,
            'bought_on' => $card->bought_on?->format(When::ISO_DAY),
            'provenance' => $card->provenance?->value,
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function inspection(Card $card): array
    {
        return array_values(
            $card
                ->inspections()
                ->get()
                ->map(
                    fn (Inspection $one): array => [
                        'question' => $one->question->value,
                        'answer' => $one->answer,
                        'withdrawn' => $one->withdrawn,
                        'by' => $one->seen_by,
                        'on' => $one->created_at->utc()->format(When::ISO_MOMENT),
                    ],
                )
                ->all(),
        );
    }

    /** @return array<string, mixed> */
    private static function run(Run $run): array
    {
        $result = $run->rawResult();
        $sample = RunSample::query()->find($run->id);

        return [
            'id' => $run->id,
            'kind' => $run->kind->value,
            'state' => $run->state->value,
            'source' => $run->source->value,
            'counts' => $run->counts(),
            'void' => $run->void?->reason,
            'beside' => $run->beside,
            'by' => $run->recorded_by,
            'message' => $run->message,
            'started_at' => $run->started_at?->utc()->format(When::ISO_MOMENT),
            'ended_at' => $run->ended_at?->utc()->format(When::ISO_MOMENT),
            'chain' => Values::write($run->chain),
            'parameters' => Values::write($run->parameters),
            'origin' => $run->origin,
            'result' => $result,
            'traces' => $sample?->traces,
            'hash' => $result === null ? null : Canonical::hash($result),
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function erasures(Card $card): array
    {
        return array_values(
            Erasure::query()
                ->where('card_id', $card->id)
                ->orderBy('id')
                ->get()
                ->map(
                    fn (Erasure $line): array => [
                        'on' => $line->erased_at->utc()->format(When::ISO_MOMENT),
                        'what' => $line->what,
                        'path' => $line->path,
                        'bytes' => $line->bytes,
                        'by' => $line->person,
                        'station' => $line->station,
                        'why' => $line->why,
                    ],
                )
                ->all(),
        );
    }
}
