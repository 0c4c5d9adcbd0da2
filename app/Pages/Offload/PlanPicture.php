<?php

declare(strict_types=1);

namespace App\Pages\Offload;

use App\Models\Cards\Card;
use App\Models\Kit\Drive;
use App\Models\Kit\Reader;
use App\Offload\PlanCables;
use Tally\Offload\Load;
use Tally\Offload\Plan;
use Tally\Offload\Question\LadenCard;
use Tally\Quantity\Bytes;

/**
 * What a plan looks like, wherever it is shown.
 *
 * @phpstan-type CabledProps array{ // What goes into which port.
 *     thing: string,
 *     name: string,
 *     port: string,
 * }
 * @phpstan-type LoadProps array{ // How busy a piece of gear, or a card, is in a plan.
 *     name: string,
 *     share: float, // of the time until all is done, at its full ceiling
 *     kind: string, // Card, Drive, Lane, Uplink, Port, Controller, Hash or Previews
 * }
 * @phpstan-type PlannedCardProps array{ // A card in a plan. Times are seconds from its start.
 *     tag: string,
 *     label: string,
 *     amount: string,
 *     slot: string, // “reader slot”
 *     drives: list<string>, // for each copy
 *     how: string, // straight, fan-out or relay
 *     in: float,
 *     free: float,
 *     clear: float|null, // when it may be cleared; null for never
 * }
 */
final readonly class PlanPicture
{
    private const LOADS = 5;

    public static function of(Plan $plan): PlanPictureProps
    {
        $bytes = array_sum(array_map(fn (LadenCard $card): float => $card->bytes, $plan->question->cards));

        return new PlanPictureProps(
            amount: Bytes::of((int) $bytes)->decimal(),
            copies: $plan->question->rules->copies,
            readsBack: $plan->question->rules->readsBack(),
            done: $plan->course->done,
            free: $plan->course->allFree(),
            hands: $plan->course->hands,
            bound: $plan->bound,
            cards: self::cards($plan),
            cabled: self::cabled($plan),
            lanes: PlanLanes::of($plan),
            flows: PlanFlows::of($plan),
            loads: self::loads($plan),
        );
    }

    /** @return list<PlannedCardProps> in the order in which hands serve them */
    private static function cards(Plan $plan): array
    {
        $tags = array_map(fn ($card): string => $card->tag, $plan->decision->cards);
        $lines = Card::query()->whereIn('tag', $tags)->pluck('line', 'tag')->all();
        $bytes = [];
        foreach ($plan->question->cards as $card) {
            $bytes[$card->tag] = (int) $card->bytes;
        }
        $cards = [];
        foreach ($plan->decision->cards as $at => $card) {
            $line = $lines[$card->tag] ?? '';
            $cards[] = [
                'tag' => $card->tag,
                'label' => is_string($line) ? $line : '',
                'amount' => Bytes::of($bytes[$card->tag] ?? 0)->decimal(),
                'slot' => $card->slot,
                'drives' => $card->drives,
                'how' => $card->scheme->value,
                'in' => $plan->course->in[$at] ?? 0.0,
                'free' => $plan->course->free[$at] ?? 0.0,
                'clear' => $plan->course->clear[$at] ?? null,
            ];
        }

        return $cards;
    }

    /** @return list<CabledProps> of what the plan uses */
    private static function cabled(Plan $plan): array
    {
        $names = Drive::query()->pluck('name', 'tag')->all();
        $cables = PlanCables::byReader();
        foreach (Reader::query()->get(['tag', 'name']) as $reader) {
            $names[$reader->tag] = $reader->name.(isset($cables[$reader->tag]) ? ", cable {$cables[$reader->tag]}" : '');
        }
        $cabled = [];
        foreach ($plan->plugged() as $thing => $port) {
            $name = $names[$thing] ?? '';
            $cabled[] = ['thing' => $thing, 'name' => is_string($name) ? $name : '', 'port' => $port];
        }

        return $cabled;
    }

    /** @return list<LoadProps> */
    private static function loads(Plan $plan): array
    {
        return array_map(
            fn (Load $load): array => ['name' => $load->name, 'share' => $load->share, 'kind' => $load->part->kind->name],
            array_slice($plan->decision->cards === [] ? [] : Load::of($plan), 0, self::LOADS),
        );
    }
}
