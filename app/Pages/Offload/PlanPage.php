<?php

declare(strict_types=1);

namespace App\Pages\Offload;

use App\Kit\DriveRecord;
use App\Models\Cards\Card;
use App\Models\Kit\Host;
use App\Models\Offload\Offload;
use App\Models\Offload\OffloadCard;
use App\Models\Offload\SavedPlan;
use App\Models\When;
use App\Offload\BooksQuestion;
use App\Offload\ShownPlan;
use App\Pages\Page;
use Tally\Offload\LeftOut;
use Tally\Offload\PlacedCard;
use Tally\Offload\Plan;
use Tally\Offload\Question\LadenCard;
use Tally\Offload\WhatIf;
use Tally\Offload\WorthIt;
use Tally\Transfer\FolderPattern;

/**
 * The whole offload: when all is safe, who goes where, and a runbook.
 *
 * @phpstan-import-type RestsOnProps from PlanRests
 *
 * @phpstan-type MountedProps array{ // The folder where a slot or drive was mounted last.
 *     thing: string,
 *     folder: string,
 * }
 * @phpstan-type OffloadProps array{ // An offload in a list.
 *     id: int,
 *     name: string,
 *     began: string,
 *     cards: int,
 *     secured: int, // cards that may be cleared
 *     isOver: bool,
 * }
 * @phpstan-type PlanRulesProps array{ // The rules that a plan was made by, as they are in its form.
 *     goal: string,
 *     copies: string,
 *     verify: string,
 *     scheme: string, // any, straight, fan-out or relay
 *     hands: string,
 *     swap: string, // seconds
 *     previews: string, // 1 where imports build them, else 0
 * }
 * @phpstan-type SavedPlanProps array{ // A plan that was kept, in a list.
 *     id: int,
 *     name: string,
 *     on: string, // the day it was made
 *     done: float, // seconds, as planned
 *     took: float|null, // seconds it really took; null while nobody has said
 * }
 * @phpstan-type ShownPlanProps array{ // A plan that a page showed before, and how it stands to what is known now.
 *     key: string,
 *     done: float, // seconds, with what is known now
 *     hands: int,
 * }
 * @phpstan-type WhatIfProps array{ // A change to an offload, and what it saves.
 *     words: string,
 *     saves: float, // seconds until all is done
 *     isBought: bool, // whether it has a price
 *     worth: string|null, // when it has paid, in a sentence; null where nothing was said of money
 * }
 */
final readonly class PlanPage extends Page
{
    private const SAVED = 8;

    private const PATTERNS = 5;

    /**
     * @param  list<string>  $ticked  cards that were asked for
     * @param  list<string>  $holds  what cards will hold by a shoot that is planned, such as `QS-014:64000000000`
     * @param  list<string>  $leftOut
     * @param  list<RestsOnProps>  $rests
     * @param  bool  $isTimed  whether an import with previews was timed on some host
     * @param  bool  $isLong  whether it was searched for longer
     * @param  list<SavedPlanProps>  $saved  the newest first
     * @param  bool  $isMadeUp  whether every card of it is
     * @param  string  $today  `2026-11-27`
     * @param  list<MountedProps>  $places  where slots and drives were last
     * @param  list<string>  $patterns  by which folders were called lately, the last one first
     * @param  list<string>  $warnings  what its drives got wrong before
     * @param  string  $planKey  by which this very plan is begun, kept and printed; empty where nothing is planned
     * @param  ShownPlanProps|null  $before  the one that was shown before, where something has changed since and somebody has to choose
     * @param  list<OffloadProps>  $offloads  that are carried out, or were; the newest first
     * @param  PlanRulesProps  $rules
     */
    public function __construct(
        public PlanPictureProps $plan,
        public array $ticked,
        public array $holds,
        public array $leftOut,
        public array $rests,
        public bool $isTimed,
        public bool $isLong,
        public array $saved,
        public array $rules,
        public string $person,
        public bool $isMadeUp,
        public string $today,
        public array $places,
        public array $patterns,
        public array $warnings,
        public array $offloads,
        public string $planKey,
        public ?array $before,
    ) {}

    /** @param  list<string>  $holds  what cards will hold, as a shoot that is planned has it */
    public static function of(
        Plan $plan,
        BooksQuestion $asked,
        bool $buildsPreviews,
        bool $isLong,
        array $holds,
        ?string $person,
    ): self {
        $rules = $plan->question->rules;
        $ticked = [
            ...array_map(fn (LadenCard $card): string => $card->tag, $asked->question->cards),
            ...array_map(fn (LeftOut $one): string => $one->tag, $asked->leftOut),
        ];
        sort($ticked);

        return new self(
            plan: PlanPicture::of($plan),
            ticked: $ticked,
            holds: $holds,
            leftOut: array_map(fn (LeftOut $one): string => $one->sentence, [...$asked->leftOut, ...$plan->leftOut]),
            rests: PlanRests::of($plan, $asked->rates),
            isTimed: Host::query()->whereNotNull('preview_files')->exists(),
            isLong: $isLong,
            saved: self::saved(),
            rules: [
                'goal' => $plan->goal->value,
                'copies' => (string) $rules->copies,
                'verify' => $rules->verify->value,
                'scheme' => $rules->scheme->value ?? 'any',
                'hands' => (string) $rules->hands,
                'swap' => (string) $rules->swap,
                'previews' => $buildsPreviews ? '1' : '0',
            ],
            person: $person ?? '',
            isMadeUp: self::isMadeUp($plan),
            today: now()->format(When::ISO_DAY),
            places: self::places(),
            patterns: self::patterns(),
            warnings: self::warnings($plan),
            offloads: self::offloads(),
            planKey: $plan->decision->cards === [] ? '' : ShownPlan::keep($plan, $asked, $ticked, $holds, withPreviews: $buildsPreviews),
            before: self::before(),
        );
    }

    /** @return WhatIfProps */
    public static function whatIf(WhatIf $one, WorthIt $worth): array
    {
        $months = $worth->months();
        $isAsked = $one->isBought() && $worth->price > 0;

        return [
            'words' => $one->words(),
            'saves' => $one->saves,
            'isBought' => $one->isBought(),
            'worth' => match (true) {
                ! $isAsked => null,
                $months === null => 'It never pays: it saves nothing that is worth money.',
                default => sprintf(
                    'Saves %.0f minutes a month, worth %.0f: paid after %.1f months.',
                    $worth->minutes(),
                    $worth->money(),
                    $months,
                ),
            },
        ];
    }

    /**
     * The plan that somebody wanted to begin, and that rests on something else by now.
     *
     * @return ShownPlanProps|null
     */
    public static function before(): ?array
    {
        $shown = session('shown');
        $said = is_array($shown) ? $shown : [];

        return is_string($said['key'] ?? null) && is_float($said['done'] ?? null) && is_int($said['hands'] ?? null)
            ? ['key' => $said['key'], 'done' => $said['done'], 'hands' => $said['hands']]
            : null;
    }

    public static function isMadeUp(Plan $plan): bool
    {
        $tags = array_map(fn (PlacedCard $card): string => $card->tag, $plan->decision->cards);

        return ! Card::query()->whereIn('tag', $tags)->whereNull('stand_in')->exists();
    }

    /** @return list<string> by which folders were called lately, the last one first; the house’s own is among them */
    public static function patterns(): array
    {
        $before = Offload::query()->whereNotNull('pattern')->latest('id')->limit(20)->pluck('pattern')->all();
        $texts = array_filter([...$before, FolderPattern::HOUSE], is_string(...));

        return array_slice(array_values(array_unique($texts)), 0, self::PATTERNS);
    }

    /** @return list<string> what drives of the plan got wrong before, a sentence each */
    private static function warnings(Plan $plan): array
    {
        $drives = array_merge(...array_map(fn (PlacedCard $card): array => $card->drives, $plan->decision->cards));

        return array_values(array_intersect_key(DriveRecord::sentences(), array_flip($drives)));
    }

    /** @return list<MountedProps> */
    public static function places(): array
    {
        $last = Offload::query()->where('is_made_up', false)->latest('id')->first();
        $places = [];
        foreach ($last === null ? [] : [...$last->places->slots, ...$last->places->drives] as $thing => $folder) {
            $places[] = ['thing' => $thing, 'folder' => $folder];
        }

        return $places;
    }

    /** @return list<OffloadProps> */
    private static function offloads(): array
    {
        return array_values(
            Offload::query()
                ->with('cards')
                ->latest('id')
                ->limit(self::SAVED)
                ->get()
                ->map(
                    fn (Offload $offload): array => [
                        'id' => $offload->id,
                        'name' => $offload->name,
                        'began' => $offload->began_at->format(When::THESE_DAYS),
                        'cards' => $offload->cards->count(),
                        'secured' => $offload->cards->filter(fn (OffloadCard $card): bool => $card->clear_at !== null)->count(),
                        'isOver' => $offload->isOver(),
                    ],
                )
                ->all(),
        );
    }

    /** @return list<SavedPlanProps> */
    private static function saved(): array
    {
        return array_values(
            SavedPlan::query()
                ->orderByDesc('id')
                ->limit(self::SAVED)
                ->get(['id', 'name', 'created_at', 'done', 'begun_at', 'done_at'])
                ->map(
                    fn (SavedPlan $saved): array => [
                        'id' => $saved->id,
                        'name' => $saved->name,
                        'on' => $saved->created_at->format('j M'),
                        'done' => $saved->done,
                        'took' => $saved->took(),
                    ],
                )
                ->all(),
        );
    }
}
