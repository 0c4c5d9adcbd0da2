<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Models\Kit\Host;
use App\Models\Kit\Port;
use App\Models\Kit\Reader;
use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use App\Models\Stations\KnownStation;
use App\Models\Stations\Slot;
use App\Models\Stations\SlotKind;
use App\Models\Stations\Station;
use App\Models\When;
use App\Pages\Page;
use App\Stations\SlotLook;
use App\Worker\VanishedBench;
use Illuminate\Support\Collection;

/**
 * The benches of the house: which are at work, and what lies in their slots.
 *
 * @phpstan-type BenchProps array{ // A station with its slots.
 *     id: int,
 *     name: string,
 *     host: string,
 *     here: bool,
 *     away: bool,
 *     state: string, // in words: at work, away since when
 *     left: int, // runs and offloads at it, while it is away
 *     slots: list<BenchSlotProps>,
 *     ports: list<PlaceProps>, // of its host
 * }
 * @phpstan-type BenchSlotProps array{ // A slot of a station, and what it saw in it.
 *     id: int,
 *     name: string,
 *     kind: SlotKind,
 *     path: string,
 *     reader: int,
 *     port: int,
 *     seen: string, // what lies in it, or why it cannot be used, in words
 *     usable: bool,
 *     run: string|null, // the run that is going or waiting there
 * }
 * @phpstan-type KnownStationProps array{ // A station of another house.
 *     id: int,
 *     name: string,
 *     key: string, // its public key
 *     runs: int, // that it signed
 *     revoked: string|null, // by whom and when
 * }
 * @phpstan-type PlaceProps array{ // A reader or a port to choose.
 *     id: int,
 *     label: string,
 * }
 */
final readonly class BenchPage extends Page
{
    /**
     * @param  list<BenchProps>  $benches
     * @param  list<PlaceProps>  $readers
     * @param  list<PlaceProps>  $hosts
     * @param  list<KnownStationProps>  $known  stations of other houses
     */
    public function __construct(
        public array $benches,
        public array $readers,
        public array $hosts,
        public array $known,
    ) {}

    public static function now(SlotLook $look): self
    {
        return new self(self::benches($look), self::readers(), self::hosts(), self::known());
    }

    /** @return list<BenchProps> this one first */
    private static function benches(SlotLook $look): array
    {
        $going = Run::query()->with('card')->whereNotNull('slot_id')->whereIn('state', RunState::going())->get()->groupBy('slot_id');

        return array_values(
            Station::query()
                ->with(['host.ports', 'slots.reader', 'slots.port'])
                ->orderBy('name')
                ->get()
                ->sortByDesc(fn (Station $station): bool => $station->isHere())
                ->map(
                    fn (Station $station): array => [
                        'id' => $station->id,
                        'name' => $station->name,
                        'host' => $station->host->name,
                        'here' => $station->isHere(),
                        'away' => ! $station->hasWorker(),
                        'state' => self::state($station).self::engine($station),
                        'left' => self::left($station),
                        'slots' => array_values(
                            $station->slots
                                ->map(
                                    fn (Slot $slot): array => self::slot(
                                        $look,
                                        $slot->setRelation('station', $station),
                                        $going->get($slot->id),
                                    ),
                                )
                                ->all(),
                        ),
                        'ports' => array_values(
                            $station->host->ports->map(fn (Port $port): array => ['id' => $port->id, 'label' => $port->name])->all(),
                        ),
                    ],
                )
                ->all(),
        );
    }

    /** The first link of every chain there. */
    private static function engine(Station $station): string
    {
        $gives = $station->instrument()?->words() ?? '';

        return $gives === '' ? '' : "; {$gives}";
    }

    /** @return list<PlaceProps> */
    private static function readers(): array
    {
        return array_values(
            Reader::query()
                ->orderBy('tag')
                ->get()
                ->map(fn (Reader $reader): array => ['id' => $reader->id, 'label' => "{$reader->tag} {$reader->name}"])
                ->all(),
        );
    }

    /** @return list<PlaceProps> */
    private static function hosts(): array
    {
        return array_values(
            Host::query()->orderBy('name')->get()->map(fn (Host $host): array => ['id' => $host->id, 'label' => $host->name])->all(),
        );
    }

    /** @return list<KnownStationProps> */
    private static function known(): array
    {
        $signed = Run::query()
            ->toBase()
            ->whereNotNull('signed_by')
            ->groupBy('signed_by')
            ->selectRaw('signed_by, count(*) as runs')
            ->pluck('runs', 'signed_by');

        return array_values(
            KnownStation::query()
                ->orderBy('name')
                ->get()
                ->map(
                    fn (KnownStation $one): array => [
                        'id' => $one->id,
                        'name' => $one->name,
                        'key' => $one->key,
                        'runs' => is_numeric($runs = $signed->get($one->key)) ? (int) $runs : 0,
                        'revoked' => $one->revoked_at === null
                            ? null
                            : "revoked by {$one->revoked_by} on {$one->revoked_at->format(When::DAY)}",
                    ],
                )
                ->all(),
        );
    }

    /** What goes on at a bench that is away. */
    private static function left(Station $station): int
    {
        return $station->hasWorker() ? 0 : VanishedBench::runs($station)->count() + VanishedBench::offloads($station)->count();
    }

    private static function state(Station $station): string
    {
        return match (true) {
            $station->hasWorker() => 'at work',
            $station->worker_seen_at === null => 'was never seen; its runs wait',
            default => "away since {$station->worker_seen_at->format(When::THESE_DAYS)} UTC; its runs wait, and nobody else takes them",
        };
    }

    /**
     * @param  Collection<int, Run>|null  $going
     * @return BenchSlotProps
     */
    private static function slot(SlotLook $look, Slot $slot, ?Collection $going): array
    {
        $run = $going?->first();
        $seen = $slot->kind === SlotKind::Simulated ? null : $look->shown($slot);
        $medium = $seen?->medium;
        $words = match (true) {
            $seen === null => 'made-up cards that ship with the application',
            $medium === null => $seen->refused ?? 'not looked into yet',
            ! $medium->isOfItsOwn() => 'no card: a plain folder of the host’s own disk, which the settings allow',
            default => "{$medium->called()}, {$medium->bytes->decimal()}".($medium->serial === null ? '' : ", serial {$medium->serial}"),
        };

        return [
            'id' => $slot->id,
            'name' => $slot->name,
            'kind' => $slot->kind,
            'path' => $slot->path ?? '',
            'reader' => $slot->reader->id,
            'port' => $slot->port->id,
            'seen' => $words,
            'usable' => $seen === null || $medium !== null,
            'run' => $run === null ? null : "{$run->name()} of {$run->card->tag}, {$run->state->value}",
        ];
    }
}
