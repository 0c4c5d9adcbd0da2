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
use App\Pages\Card\CardHeading;
use App\Pages\Card\CardProps;
use App\Pages\Page;
use App\Shoot\ReasonProps;
use Carbon\CarbonInterface;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Tally\Ledger\Due;
use Tally\Ledger\DueTest;
use Tally\Verdict\VerdictKind;

/** What a card has been through, whether it fades, and when it is tested again. */
final readonly class LedgerPage extends Page
{
    private const EVENTS = 200;

    /**
     * @param  string  $heading  such as `eleven months, 14 runs, 6 shoots`
     * @param  list<string>  $facts  what it is, what it cost, how much was written
     * @param  list<ReasonProps>  $reasons
     * @param  DueProps|null  $due  null where it is not tested again by any rule
     * @param  bool  $mayRetire  whether nothing keeps it from going out of service
     */
    public function __construct(
        public CardProps $card,
        public string $heading,
        public array $facts,
        public LifeProps $life,
        public array $reasons,
        public ?DueProps $due,
        public ?RetiredProps $retired,
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
                : new RetiredProps($card->retired_on->format('j M Y'), $card->retired_why ?? '', $card->retired_by ?? ''),
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

    /** @param  list<LifeEvent>  $events */
    private static function life(Card $card, array $events, LifeFigures $figures, ?Fading $fading): LifeProps
    {
        $first = $events[0]->at ?? Carbon::now();
        $since = fn (CarbonInterface $at): float => max(0.0, round($first->diffInDays($at), 3));
        $mark = $card->label()->topMark();

        return new LifeProps(
            $first->format('Y-m-d'),
            max(1.0, $since(Carbon::now())),
            $figures->chain,
            self::points($figures->writes, $since),
            self::points($figures->reads, $since),
            array_values(
                array_filter([
                    $mark === null ? null : new LifeFloorProps("{$mark->value} promises", $mark->floor()->megabytes()),
                    $fading?->floor === null ? null : new LifeFloorProps($fading->floor[0], round($fading->floor[1], 2)),
                ]),
            ),
            $fading === null ? null : self::trend($figures, $fading, $since),
            array_map(
                fn (LifeEvent $one): LifeEventProps => new LifeEventProps(
                    $since($one->at),
                    $one->at->format('j M Y'),
                    $one->kind,
                    $one->words,
                    $one->detail,
                    $one->href,
                ),
                array_slice($events, -self::EVENTS),
            ),
        );
    }

    /**
     * @param  list<array{Carbon, float, Run}>  $figures
     * @param  callable(CarbonInterface): float  $since
     * @return list<LifePointProps>
     */
    private static function points(array $figures, callable $since): array
    {
        return array_map(
            fn (array $one): LifePointProps => new LifePointProps(
                $since($one[0]),
                round($one[1], 2),
                "{$one[2]->name()}, {$one[2]->kind->label()}",
                $one[2]->id,
            ),
            $figures,
        );
    }

    /** @param  callable(CarbonInterface): float  $since */
    private static function trend(LifeFigures $figures, Fading $fading, callable $since): LifeTrendProps
    {
        $days = array_map(fn (array $one): Carbon => $one[0], $figures->writes);
        [$begins, $ends] = [min([Carbon::now(), ...$days]), max([Carbon::createFromTimestamp(0), ...$days])];

        return new LifeTrendProps(
            $since($begins),
            $since($ends),
            round($fading->trend->at(LifeFigures::day($begins)), 2),
            round($fading->trend->at(LifeFigures::day($ends)), 2),
            $fading->trend->isTold(),
            $fading->trend->isTold() ? $fading->words() : 'no trend beyond the noise',
        );
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
                ucfirst($one->words()).", {$one->happened_at->format('j M Y')}.",
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
                ? ', at the earliest '.($early ?? $at)->format('M Y')
                : ", between {$early->format('M Y')} and {$late->format('M Y')}";
            $rate = number_format($fading->floor[1], 1, '.', '');
            $meets = " It meets {$rate} MB/s, what {$fading->floor[0]} asks with its margin, about {$at->format('M Y')}{$between}.";
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

    private static function due(Card $card, Due $due): DueProps
    {
        $isNow = $due->on->getTimestamp() <= Carbon::now()->getTimestamp();

        return new DueProps(
            $due->test->words(),
            ($isNow ? 'since ' : 'from ').$due->on->format('j M Y').": {$due->why}",
            $isNow,
            match ($due->test) {
                DueTest::Prove => "/prove/{$card->tag}",
                DueTest::Measure => "/measure/{$card->tag}",
                DueTest::Retire => null,
            },
        );
    }
}
