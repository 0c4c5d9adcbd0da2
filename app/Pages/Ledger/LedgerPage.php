<?php

declare(strict_types=1);

namespace App\Pages\Ledger;

use App\Evidence\CardEvidence;
use App\Evidence\DueBook;
use App\Evidence\LedgerRules;
use App\Evidence\Written;
use App\Ledger\CardLife;
use App\Ledger\Fading;
use App\Ledger\IncidentBook;
use App\Ledger\LifeEvent;
use App\Ledger\LifeFigures;
use App\Ledger\Retirement;
use App\Models\Cards\Card;
use App\Models\Ledger\CardIncident;
use App\Models\Runs\Run;
use App\Models\When;
use App\Pages\Card\CardHeading;
use App\Pages\Page;
use App\Shoot\ReasonProps;
use Carbon\CarbonInterface;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Tally\Ledger\Due;
use Tally\Ledger\DueTest;
use Tally\Verdict\VerdictKind;

/**
 * What a card has been through, whether it fades, and when it is tested again.
 *
 * @phpstan-import-type CardProps from CardHeading
 *
 * @phpstan-type DueProps array{ // What a card is due for.
 *     words: string, // such as `Prove it again`
 *     why: string, // such as `since 3 Nov 2026: wet on 3 Nov 2026`
 *     isNow: bool, // whether today, or later
 *     href: string|null, // where that is done; null where it has served: it is taken out right here
 * }
 * @phpstan-type LifeEventProps array{ // Something that happened to a card.
 *     day: float, // days since the beginning of the picture
 *     on: string, // such as `3 Nov 2026`
 *     kind: string, // bought, test, proof, shoot, offload, cleared, trouble, said
 *     words: string, // in a word or two
 *     detail: string, // more of it; empty where there is none
 *     href: string|null, // where it is looked at
 * }
 * @phpstan-type LifePointProps array{ // A figure of a card on a day.
 *     day: float, // days since the beginning of the picture
 *     rate: float, // MB/s
 *     words: string, // which run, and what it was
 *     run: int,
 * }
 * @phpstan-type LifeProps array{ // Everything that happened to a card on one line of time, with its figures on one chain above it.
 *     begins: string, // `2026-01-03`
 *     days: float, // until today
 *     chain: string, // on which the figures were measured
 *     writes: list<LifePointProps>, // kept up over a long write
 *     reads: list<LifePointProps>,
 *     floors: list<LifeFloorProps>,
 *     trend: LifeTrendProps|null,
 *     events: list<LifeEventProps>, // the earliest first
 * }
 * @phpstan-type LifeTrendProps array{ // The line through the figures of a card.
 *     begins: float,
 *     ends: float,
 *     from: float, // MB/s on the day of the first figure
 *     to: float, // and of the last
 *     isTold: bool, // whether it is more than noise
 *     words: string, // such as `loses 2.3 MB/s a month`
 * }
 * @phpstan-type RetiredProps array{ // That a card is out of service.
 *     on: string,
 *     why: string,
 *     by: string,
 * }
 * @phpstan-type LifeFloorProps array{ // What a card must never fall under.
 *     name: string,
 *     rate: float, // MB/s
 * }
 */
final readonly class LedgerPage extends Page
{
    private const EVENTS = 200;

    /**
     * @param  string  $heading  such as `eleven months, 14 runs, 6 shoots`
     * @param  list<string>  $facts  what it is, what it cost, how much was written
     * @param  list<ReasonProps>  $reasons
     * @param  DueProps|null  $due  null where it is not tested again by any rule
     * @param  bool  $mayRetire  whether nothing keeps it from going out of service
     * @param  CardProps  $card
     * @param  LifeProps  $life
     * @param  RetiredProps|null  $retired
     */
    public function __construct(
        public array $card,
        public string $heading,
        public array $facts,
        public array $life,
        public array $reasons,
        public ?array $due,
        public ?array $retired,
        public bool $mayRetire,
        public string $person,
    ) {}

    public static function of(Card $card, ?string $person): self
    {
        $runs = CardEvidence::runs($card);
        $events = CardLife::of($card, $runs);
        $figures = LifeFigures::of($card, $runs);
        $fading = Fading::of($card, $figures);
        $due = DueBook::of($card, LedgerRules::now(), $runs);

        return new self(
            card: CardHeading::card($card),
            heading: self::heading($events, $runs),
            facts: self::facts($card, $runs),
            life: self::life($card, $events, $figures, $fading),
            reasons: self::reasons($card, $figures, $fading, $due),
            due: $due === [] ? null : self::due($card, $due[0]),
            retired: $card->retired_on === null
                ? null
                : [
                    'on' => $card->retired_on->format(When::DAY),
                    'why' => $card->retired_why ?? '',
                    'by' => $card->retired_by ?? '',
                ],
            mayRetire: Retirement::complaint($card) === '',
            person: $person ?? '',
        );
    }

    /**
     * `eleven months, 14 runs, 6 shoots`
     *
     * @param  list<LifeEvent>  $events
     * @param  Collection<int, Run>  $runs
     */
    private static function heading(array $events, Collection $runs): string
    {
        $count = fn (int $many, string $one): string => "{$many} {$one}".($many === 1 ? '' : 's');
        $kept = $runs->filter(fn (Run $run): bool => $run->result !== null)->count();
        $shoots = count(array_filter($events, fn (LifeEvent $one): bool => $one->kind === 'shoot'));
        $months = $events === [] ? 0 : (int) round($events[0]->at->diffInDays(Carbon::now()) / Fading::MONTH);
        $since = $months < 1 ? 'new here' : $count($months, 'month');

        return implode(', ', [$since, $count($kept, 'run'), ...$shoots === 0 ? [] : [$count($shoots, 'shoot')]]);
    }

    /**
     * @param  Collection<int, Run>  $runs
     * @return list<string>
     */
    private static function facts(Card $card, Collection $runs): array
    {
        $written = Written::on($card, $runs)->since();

        return array_values(
            array_filter(
                [
                    str_replace(' · ', ', ', "{$card->name}, {$card->line}"),
                    $card->origin()->price?->print(),
                    $card->seller,
                    $written->isZero() ? null : "{$written->decimal()} written so far",
                ],
                fn (?string $fact): bool => $fact !== null && $fact !== '',
            ),
        );
    }

    /**
     * @param  list<LifeEvent>  $events
     * @return LifeProps
     */
    private static function life(Card $card, array $events, LifeFigures $figures, ?Fading $fading): array
    {
        $first = $events[0]->at ?? Carbon::now();
        $since = fn (CarbonInterface $at): float => max(0.0, round($first->diffInDays($at), 3));
        $mark = $card->label()->topMark();

        return [
            'begins' => $first->format(When::ISO_DAY),
            'days' => max(1.0, $since(Carbon::now())),
            'chain' => $figures->chain,
            'writes' => self::points($figures->writes, $since),
            'reads' => self::points($figures->reads, $since),
            'floors' => array_values(
                array_filter([
                    $mark === null ? null : ['name' => "{$mark->value} promises", 'rate' => $mark->floor()->megabytes()],
                    $fading?->floor === null ? null : ['name' => $fading->floor[0], 'rate' => round($fading->floor[1], 2)],
                ]),
            ),
            'trend' => $fading === null ? null : self::trend($figures, $fading, $since),
            'events' => array_map(
                fn (LifeEvent $one): array => [
                    'day' => $since($one->at),
                    'on' => $one->at->format(When::DAY),
                    'kind' => $one->kind,
                    'words' => $one->words,
                    'detail' => $one->detail,
                    'href' => $one->href,
                ],
                array_slice($events, -self::EVENTS),
            ),
        ];
    }

    /**
     * @param  list<array{Carbon, float, Run}>  $figures
     * @param  callable(CarbonInterface): float  $since
     * @return list<LifePointProps>
     */
    private static function points(array $figures, callable $since): array
    {
        return array_map(
            fn (array $one): array => [
                'day' => $since($one[0]),
                'rate' => round($one[1], 2),
                'words' => "{$one[2]->name()}, {$one[2]->kind->label()}",
                'run' => $one[2]->id,
            ],
            $figures,
        );
    }

    /**
     * @param  callable(CarbonInterface): float  $since
     * @return LifeTrendProps
     */
    private static function trend(LifeFigures $figures, Fading $fading, callable $since): array
    {
        $days = array_map(fn (array $one): Carbon => $one[0], $figures->writes);
        [$begins, $ends] = [min([Carbon::now(), ...$days]), max([Carbon::createFromTimestamp(0), ...$days])];

        return [
            'begins' => $since($begins),
            'ends' => $since($ends),
            'from' => round($fading->trend->at(LifeFigures::day($begins)), 2),
            'to' => round($fading->trend->at(LifeFigures::day($ends)), 2),
            'isTold' => $fading->trend->isTold(),
            'words' => $fading->trend->isTold() ? $fading->words() : 'no trend beyond the noise',
        ];
    }

    /**
     * @param  list<Due>  $due
     * @return list<ReasonProps>
     */
    private static function reasons(Card $card, LifeFigures $figures, ?Fading $fading, array $due): array
    {
        $reasons = $fading !== null && $fading->trend->isTold() ? [self::fades($figures, $fading)] : [];
        foreach ($due as $one) {
            if ($one->on->getTimestamp() <= Carbon::now()->getTimestamp()) {
                $reasons[] = new ReasonProps(VerdictKind::Unproven, "{$one->test->words()}.", ucfirst($one->why).'.', 'house rules');
            }
        }
        $suspects = IncidentBook::suspects();
        $own = CardIncident::query()->with(['reader', 'camera'])->where('card_id', $card->id)->latest('happened_at')->limit(3)->get();
        foreach ($own as $one) {
            $named = $one->reader === null ? [] : array_values(array_diff($suspects[$one->reader->tag] ?? [], [$card->tag]));
            $reasons[] = new ReasonProps(
                VerdictKind::Shaky,
                ucfirst($one->words()).", {$one->happened_at->format(When::DAY)}.",
                $named === []
                    ? $one->note
                    : "{$one->reader->tag} is named with ".implode(', ', $named).' as well: try it in another reader.',
                "noted by {$one->recorded_by}",
            );
        }

        return $reasons;
    }

    private static function fades(LifeFigures $figures, Fading $fading): ReasonProps
    {
        $isDown = $fading->trend->slope < 0;
        $meets = '';
        if ($fading->floor !== null && $fading->meets !== null) {
            [$at, $early, $late] = $fading->meets;
            $between = $early === null || $late === null
                ? ', at the earliest '.($early ?? $at)->format(When::MONTH)
                : ", between {$early->format(When::MONTH)} and {$late->format(When::MONTH)}";
            $rate = number_format($fading->floor[1], 1, '.', '');
            $meets = " It meets {$rate} MB/s, what {$fading->floor[0]} asks with its margin, about {$at->format(When::MONTH)}{$between}.";
        }
        $interval = number_format($fading->trend->low * Fading::MONTH, 1, '.', '').' to '.
            number_format($fading->trend->high * Fading::MONTH, 1, '.', '');

        return new ReasonProps(
            $isDown ? VerdictKind::Slow : null,
            ($isDown ? 'Fades: ' : 'Gets faster: ').$fading->words().'.',
            trim($meets),
            "Theil–Sen over {$fading->trend->count} long writes on {$figures->chain}; {$interval} MB/s a month, 95 %",
        );
    }

    /** @return DueProps */
    private static function due(Card $card, Due $due): array
    {
        $isNow = $due->on->getTimestamp() <= Carbon::now()->getTimestamp();

        return [
            'words' => $due->test->words(),
            'why' => ($isNow ? 'since ' : 'from ').$due->on->format(When::DAY).": {$due->why}",
            'isNow' => $isNow,
            'href' => match ($due->test) {
                DueTest::Prove => "/prove/{$card->tag}",
                DueTest::Measure => "/measure/{$card->tag}",
                DueTest::Retire => null,
            },
        ];
    }
}
