<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Evidence\CardEvidence;
use App\Kit\KitListProps;
use App\Models\Cards\Card;
use App\Models\Cards\Inspection;
use App\Models\Kit\Reader;
use App\Models\Runs\Run;
use App\Offload\BooksQuestion;
use App\Offload\KitGear;
use App\Pages\Card\InspectPage;
use App\Pages\Page;
use Illuminate\Support\Collection;
use Tally\Chain\CeilingOrigin;
use Tally\Label\Bus;
use Tally\Offload\Basis\KnownRate;
use Tally\Offload\Question\Host;
use Tally\Offload\Question\LadenCard;
use Tally\Offload\Question\Reader as ReaderOfPlan;
use Tally\Offload\WayLinks;
use Tally\Offload\WaysHome;
use Tally\Record\RunKind;
use Tally\Verdict\VerdictKind;

/**
 * What fits where, and what is known of a reader.
 *
 * @phpstan-import-type SeenProps from InspectPage
 *
 * @phpstan-type SightingProps array{ // How fast a card went in a reader. MB/s.
 *     card: string,
 *     run: string,
 *     write: float|null,
 *     read: float|null,
 *     region: string,
 * }
 *
 * @phpstan-import-type FitSheetProps from BodySheet
 *
 * @phpstan-type FitRowProps array{ // A row of the sheet of what fits where.
 *     key: string,
 *     name: string,
 *     cells: list<FitCellProps>,
 * }
 */
final readonly class KitPage extends Page
{
    private const CARDS = 60;

    private const SIGHTINGS = 12;

    /**
     * @param  list<KitListProps>  $lists
     * @param  string  $said  what came of the last act; empty for nothing
     */
    public function __construct(
        public array $lists,
        public string $said,
    ) {}

    /**
     * One card: a row for each reader, a column for each host.
     *
     * @return FitSheetProps
     */
    public static function ofCard(Card $card): array
    {
        $kit = KitGear::take(false);
        [$laden, $known] = self::atItsBest($card, CardEvidence::runs($card), $kit);
        $names = Reader::query()->pluck('name', 'tag');
        $rows = array_map(
            fn (ReaderOfPlan $reader): array => [
                'key' => $reader->name,
                'name' => "{$reader->name} ".(is_string($names[$reader->name] ?? null) ? $names[$reader->name] : ''),
                'cells' => array_map(
                    fn (Host $host): FitCellProps => self::cell($laden, $reader, [$host], $known, brief: false),
                    $kit->hosts,
                ),
            ],
            $kit->readers,
        );

        return self::sheet($card->tag, 'best port of each host', array_map(fn (Host $host): string => $host->name, $kit->hosts), $rows);
    }

    /**
     * All cards: a row for each, a column for each reader, on the host that serves it best.
     *
     * @return FitSheetProps
     */
    public static function ofAll(): array
    {
        $cards = Card::query()
            ->whereNotIn('verdict', [VerdictKind::Sham, VerdictKind::Shaky])
            ->orderBy('tag')
            ->limit(self::CARDS)
            ->get();
        $runs = Run::query()
            ->with(['slot', 'void'])
            ->whereIn('card_id', $cards->modelKeys())
            ->orderBy('id')
            ->get()
            ->toBase()
            ->groupBy('card_id');
        $kit = KitGear::take(false);
        $rows = array_values(
            $cards
                ->map(function (Card $card) use ($runs, $kit): array {
                    [$laden, $known] = self::atItsBest($card, $runs[$card->id] ?? new Collection(), $kit);
                    $cell = fn (ReaderOfPlan $reader): FitCellProps => self::cell($laden, $reader, $kit->hosts, $known, brief: true);

                    return [
                        'key' => $card->tag,
                        'name' => "{$card->tag} {$card->line}",
                        'cells' => array_map($cell, $kit->readers),
                    ];
                })
                ->all(),
        );
        $more =
            Card::query()
                ->whereNotIn('verdict', [VerdictKind::Sham, VerdictKind::Shaky])
                ->count() - $cards->count();

        return self::sheet(
            null,
            'best host of each; struck-out cards are left out'.($more > 0 ? "; {$more} more cards are not shown" : ''),
            array_map(fn (ReaderOfPlan $reader): string => $reader->name, $kit->readers),
            $rows,
        );
    }

    /** @return list<SightingProps> the fastest of each card, the fastest first */
    public static function sightings(Reader $reader): array
    {
        $runs = Run::query()
            ->with(['card', 'void'])
            ->where('kind', RunKind::Speed)
            ->whereNotNull('result')
            ->whereNull('beside')
            ->where('reader_id', $reader->id)
            ->latest('id')
            ->limit(200)
            ->get();
        $best = [];
        foreach ($runs as $run) {
            $reading = $run->counts() ? $run->reading() : null;
            $write = $reading?->write?->isTrusted() === true ? $reading->write->median()->megabytes() : null;
            $read = $reading?->read?->isTrusted() === true ? $reading->read->median()->megabytes() : null;
            $fastest = max($write ?? 0, $read ?? 0);
            if ($reading !== null && $fastest > ($best[$run->card->tag][0] ?? 0)) {
                $best[$run->card->tag] = [
                    $fastest,
                    [
                        'card' => $run->card->tag,
                        'run' => $run->name(),
                        'write' => $write,
                        'read' => $read,
                        'region' => $run->speeds()?->covers() ?? '',
                    ],
                ];
            }
        }
        usort($best, fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return array_map(fn (array $one): array => $one[1], array_slice($best, 0, self::SIGHTINGS));
    }

    /** @return list<SeenProps> the newest first */
    public static function trouble(Reader $reader): array
    {
        return array_values(
            $reader
                ->troubles()
                ->with(['card', 'reader'])
                ->latest('id')
                ->limit(50)
                ->get()
                ->map(fn (Inspection $one): array => InspectPage::seen($one->card->tag, $one))
                ->all(),
        );
    }

    /**
     * @param  list<string>  $columns
     * @param  list<FitRowProps>  $rows
     * @return FitSheetProps
     */
    private static function sheet(?string $card, string $caption, array $columns, array $rows): array
    {
        return ['card' => $card, 'caption' => $caption, 'columns' => $columns, 'rows' => $rows];
    }

    /**
     * A card as plans have it; but where nothing was measured, it is taken by its word, or for as fast as any.
     *
     * @param  Collection<int, Run>  $runs  of it
     * @return array{LadenCard, list<KnownRate>} and what all of it rests on
     */
    private static function atItsBest(Card $card, Collection $runs, KitGear $kit): array
    {
        [$laden, $rates] = BooksQuestion::laden($card, $runs, $card->capacity, $kit->spoken);
        if ($rates[0]->origin === CeilingOrigin::Claim) {
            $claim = $card->label()->readClaim()->bytesPerSecond ?? INF;
            $laden = $laden->with(read: $claim);
            $rates[0] = $rates[0]->with(rate: $claim, how: 'the label’s claim, not measured');
        }

        return [$laden, [...$rates, ...$kit->rates]];
    }

    /**
     * @param  list<Host>  $hosts
     * @param  list<KnownRate>  $rates
     * @param  bool  $brief  where many stand side by side: the kind of the figure alone, and the host where it matters
     */
    private static function cell(LadenCard $card, ReaderOfPlan $reader, array $hosts, array $rates, bool $brief): FitCellProps
    {
        $bus = WayLinks::bus($card, $reader);
        $path = WaysHome::reach($card, $reader, $hosts, $rates);
        if ($bus === null || $path === null) {
            return new FitCellProps(null, $bus === null ? 'does not take it' : 'no port', '', false);
        }
        $pinch = $path->pinch();
        $why = match (true) {
            $pinch->name === $card->tag => 'the card itself',
            $pinch === $path->links[$path->links[0]->name === $card->tag ? 1 : 0] => Bus::from($bus)->label().' bus',
            default => $pinch->name,
        };
        $ceiling = $pinch->ceiling;

        return new FitCellProps(
            $path->usable()->megabytes(),
            $why,
            $brief ? $ceiling->origin->brief() : "{$ceiling->origin->words()}: {$ceiling->source}",
            $ceiling->origin === CeilingOrigin::Measurement,
        );
    }
}
