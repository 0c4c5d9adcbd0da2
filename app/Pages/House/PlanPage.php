<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Models\Cards\Card;
use App\Models\Kit\Drive;
use App\Models\Kit\Reader;
use App\Offload\BooksQuestion;
use App\Props\Label\ChoiceProps;
use App\Props\Page\PlanPageProps;
use App\Props\Plan\BarProps;
use App\Props\Plan\CabledProps;
use App\Props\Plan\LaneProps;
use App\Props\Plan\LoadProps;
use App\Props\Plan\OtherPlanProps;
use App\Props\Plan\PlannedCardProps;
use App\Props\Plan\PlanRulesProps;
use App\Props\Plan\WhatIfProps;
use Tally\Offload\LeftOut;
use Tally\Offload\Plan;
use Tally\Offload\Question\Goal;
use Tally\Offload\Question\LadenCard;
use Tally\Offload\Question\Rules;
use Tally\Offload\Reckon\FlowKind;
use Tally\Offload\Reckon\Stretch;
use Tally\Offload\WhatIf;
use Tally\Offload\WorthIt;
use Tally\Quantity\Bytes;

/** The whole offload: when all is safe, who goes where, and a runbook. */
final readonly class PlanPage
{
    private const LOADS = 5;

    private const CHOICES = 200;

    /** @param  array<string, Plan>  $plans  goal → plan */
    public static function of(Goal $goal, array $plans, BooksQuestion $asked, Rules $rules): PlanPageProps
    {
        $plan = $plans[$goal->value];
        $bytes = array_sum(array_map(fn (LadenCard $card): float => $card->bytes, $plan->question->cards));

        return new PlanPageProps(
            amount: Bytes::of((int) $bytes)->decimal(),
            done: $plan->course->done,
            free: $plan->course->allFree(),
            hands: $plan->course->hands,
            bound: $plan->bound,
            cards: self::cards($plan),
            cabled: self::cabled($plan),
            lanes: self::lanes($plan),
            flows: PlanFlows::of($plan),
            loads: self::loads($plan),
            others: array_map(
                fn (string $key, Plan $one): OtherPlanProps => new OtherPlanProps(
                    $key,
                    $one->goal->words(),
                    $one->course->done,
                    $one->course->allFree(),
                    $one->course->hands,
                    $one->scheme(),
                    $one->goal === $goal,
                ),
                array_keys($plans),
                array_values($plans),
            ),
            leftOut: array_map(fn (LeftOut $one): string => $one->sentence, [...$asked->leftOut, ...$plan->leftOut]),
            assumed: $asked->assumed,
            choices: self::choices(),
            rules: new PlanRulesProps(
                $goal->value,
                (string) $rules->copies,
                $rules->verify->value,
                $rules->scheme->value ?? 'any',
                (string) $rules->hands,
                (string) $rules->swap,
            ),
        );
    }

    public static function whatIf(WhatIf $one, WorthIt $worth): WhatIfProps
    {
        $months = $worth->months();
        $isAsked = $one->change->isBought() && $worth->price > 0;

        return new WhatIfProps(
            $one->change->words($one->of),
            $one->saves,
            $one->change->isBought(),
            match (true) {
                ! $isAsked => null,
                $months === null => 'It never pays: it saves nothing that is worth money.',
                default => sprintf(
                    'Saves %.0f minutes a month, worth %.0f: paid after %.1f months.',
                    $worth->minutes(),
                    $worth->money(),
                    $months,
                ),
            },
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
            $cards[] = new PlannedCardProps(
                $card->tag,
                is_string($line) ? $line : '',
                Bytes::of($bytes[$card->tag] ?? 0)->decimal(),
                $card->slot,
                $card->drives,
                $card->scheme->value,
                $plan->course->in[$at] ?? 0.0,
                $plan->course->free[$at] ?? 0.0,
                $plan->course->clear[$at] ?? null,
            );
        }

        return $cards;
    }

    /** @return list<CabledProps> of what the plan uses */
    private static function cabled(Plan $plan): array
    {
        $names = [
            ...Reader::query()->pluck('name', 'tag')->all(),
            ...Drive::query()->pluck('name', 'tag')->all(),
        ];
        $cabled = [];
        foreach ($plan->plugged() as $thing => $port) {
            $name = $names[$thing] ?? '';
            $cabled[] = new CabledProps($thing, is_string($name) ? $name : '', $port);
        }

        return $cabled;
    }

    /** @return list<LaneProps> slots, drives that copy on to others, and hands */
    private static function lanes(Plan $plan): array
    {
        $slots = $onward = $hands = [];
        foreach ($plan->course->stretches as $stretch) {
            $card = $plan->decision->cards[$stretch->placement];
            $bar = self::bar($plan, $stretch);
            if ($stretch->kind === null) {
                $hands[] = $bar;
            } elseif (self::isOnward($plan, $stretch)) {
                $onward[self::way($plan, $stretch)][] = $bar;
            } else {
                $slots[$card->slot][] = $bar;
            }
        }
        ksort($slots);
        ksort($onward);
        $lanes = [];
        foreach ([...$slots, ...$onward] as $name => $bars) {
            $lanes[] = new LaneProps($name, $bars);
        }

        return $hands === [] ? $lanes : [...$lanes, new LaneProps('hands', $hands)];
    }

    /** A relay, or the reading back of what one made. */
    private static function isOnward(Plan $plan, Stretch $stretch): bool
    {
        $card = $plan->decision->cards[$stretch->placement];
        $read = $stretch->reads === null ? null : $plan->question->drives[$stretch->reads]->name;

        return $stretch->kind === FlowKind::Relay ||
            ($stretch->kind === FlowKind::ReadBack && $card->scheme->value === 'relay' && $read !== $card->drives[0]);
    }

    private static function way(Plan $plan, Stretch $stretch): string
    {
        $card = $plan->decision->cards[$stretch->placement];
        $to = $stretch->kind === FlowKind::Relay ? $stretch->writes[0] ?? null : $stretch->reads;

        return "{$card->drives[0]} → ".($to === null ? '' : $plan->question->drives[$to]->name);
    }

    private static function bar(Plan $plan, Stretch $stretch): BarProps
    {
        $card = $plan->decision->cards[$stretch->placement];
        $onto = implode(' and ', array_map(fn (int $drive): string => $plan->question->drives[$drive]->name, $stretch->writes));
        $from = $stretch->reads === null ? '' : $plan->question->drives[$stretch->reads]->name;

        return new BarProps(
            $stretch->kind->value ?? 'hands',
            $card->tag,
            match ($stretch->kind) {
                null => $card->order === 1 ? "put {$card->tag} into {$card->slot}" : "swap {$card->tag} into {$card->slot}",
                FlowKind::Copy => "copy {$card->tag} to {$onto}",
                FlowKind::Relay => "copy {$card->tag} from {$from} on to {$onto}",
                FlowKind::ReadBack => "read {$card->tag} back from {$from}",
            },
            $stretch->since,
            $stretch->until,
        );
    }

    /** @return list<LoadProps> */
    private static function loads(Plan $plan): array
    {
        $loads = [];
        foreach ($plan->course->load as $resource => $seconds) {
            $loads[] = new LoadProps($plan->course->network->names[$resource], $seconds / max(1e-9, $plan->course->done));
        }
        usort($loads, fn (LoadProps $one, LoadProps $other): int => $other->share <=> $one->share);

        return array_slice($loads, 0, self::LOADS);
    }

    /** @return list<ChoiceProps> */
    private static function choices(): array
    {
        return array_values(
            Card::query()
                ->where('footage', '>', 0)
                ->orderBy('tag')
                ->limit(self::CHOICES)
                ->get()
                ->map(fn (Card $card): ChoiceProps => new ChoiceProps($card->tag, "{$card->tag}, {$card->footage->decimal()}", []))
                ->all(),
        );
    }
}
