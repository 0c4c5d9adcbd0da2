<?php

declare(strict_types=1);

namespace App\Pages\Offload;

use App\Kit\DriveRecord;
use App\Models\Cards\Card;
use App\Models\Kit\Host;
use App\Models\Offload\Offload;
use App\Models\Offload\OffloadCard;
use App\Models\Offload\SavedPlan;
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

/** The whole offload: when all is safe, who goes where, and a runbook. */
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
        public PlanRulesProps $rules,
        public string $person,
        public bool $isMadeUp,
        public string $today,
        public array $places,
        public array $patterns,
        public array $warnings,
        public array $offloads,
        public string $planKey,
        public ?ShownPlanProps $before,
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
            rules: new PlanRulesProps(
                $plan->goal->value,
                (string) $rules->copies,
                $rules->verify->value,
                $rules->scheme->value ?? 'any',
                (string) $rules->hands,
                (string) $rules->swap,
                $buildsPreviews ? '1' : '0',
            ),
            person: $person ?? '',
            isMadeUp: self::isMadeUp($plan),
            today: now()->format('Y-m-d'),
            places: self::places(),
            patterns: self::patterns(),
            warnings: self::warnings($plan),
            offloads: self::offloads(),
            planKey: $plan->decision->cards === [] ? '' : ShownPlan::keep($plan, $asked, $ticked, $holds, $buildsPreviews),
            before: self::before(),
        );
    }

    public static function whatIf(WhatIf $one, WorthIt $worth): WhatIfProps
    {
        $months = $worth->months();
        $isAsked = $one->isBought() && $worth->price > 0;

        return new WhatIfProps(
            $one->words(),
            $one->saves,
            $one->isBought(),
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

    /** The plan that somebody wanted to begin, and that rests on something else by now. */
    public static function before(): ?ShownPlanProps
    {
        $shown = session('shown');
        $said = is_array($shown) ? $shown : [];

        return is_string($said['key'] ?? null) && is_float($said['done'] ?? null) && is_int($said['hands'] ?? null)
            ? new ShownPlanProps($said['key'], $said['done'], $said['hands'])
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
            $places[] = new MountedProps($thing, $folder);
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
                    fn (Offload $offload): OffloadProps => new OffloadProps(
                        $offload->id,
                        $offload->name,
                        $offload->began_at->format('j M, H:i'),
                        $offload->cards->count(),
                        $offload->cards->filter(fn (OffloadCard $card): bool => $card->clear_at !== null)->count(),
                        $offload->isOver(),
                    ),
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
                    fn (SavedPlan $saved): SavedPlanProps => new SavedPlanProps(
                        $saved->id,
                        $saved->name,
                        $saved->created_at->format('j M'),
                        $saved->done,
                        $saved->took(),
                    ),
                )
                ->all(),
        );
    }
}
