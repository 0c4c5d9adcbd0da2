<?php

declare(strict_types=1);

namespace Tools\Trial;

use App\Intake\CardBook;
use App\Models\Cards\Card;
use App\Models\Kit\CameraMode;
use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use App\Report\ReportBook;
use App\Report\ReportSheet;
use Database\Seeders\DemoGear;
use Database\Seeders\DemoModes;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Request;
use RuntimeException;
use Tally\Chain\HostLink;
use Tally\Label\Bus;
use Tally\Measured\Chain;
use Tally\Quantity\Bytes;
use Tally\Quantity\Passage;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;
use Tally\Record\LongWrite;
use Tally\Record\RunKind;
use Tally\Record\RunSource;
use Tally\Record\SizeParameters;
use Tally\Record\SustainedRecord;

/** A made-up house that has lived for years, on a database of its own, and how long its pages take on the server. */
final class HouseTrial
{
    private const DAYS = 3 * 365;

    public function __construct(
        private readonly ScratchDatabase $database,
        private readonly int $cards,
        private readonly int $runs,
    ) {}

    public function begin(): void
    {
        $this->database->begin();
        $this->fill();
    }

    public function fill(): void
    {
        (new DemoGear())->run();
        $this->enterCards();
        $this->enterRuns();
        // What is kept beside each card, as the real filing keeps it; by hand, since a verdict for each is another trial.
        DB::update('UPDATE cards SET keeps_up = (SELECT MIN(carried) FROM runs WHERE runs.card_id = cards.id)');
        DB::update('UPDATE runs SET carried = NULL');
        // One of twenty is struck out, as people said of it: whom a report asks about.
        DB::update("UPDATE cards SET verdict = 'Sham' WHERE id % 20 = 0");
    }

    public function end(): void
    {
        $this->database->end();
    }

    /** @return list<string> */
    public function pages(): array
    {
        $mode = CameraMode::query()->orderBy('id')->value('id');
        $own = is_numeric($mode) ? (int) $mode : 0;

        return [
            '/intake', '/intake/H-00007', '/inspect/H-00007', '/measure/H-00007', '/prove/H-00007', '/fit/H-00007',
            "/fit/modes/{$own}", "/fit/shoot?wanted[0][mode]={$own}&wanted[0][daily]=60+min", '/offload', '/offload/H-00007',
            '/ledger/H-00007', '/ledger/buy', '/ledger/sellers', '/ledger/reports', '/ledger/worth', '/books', '/practice',
            '/activity', '/rules', '/handbook', '/prices', '/kit', '/kit/sheet', '/compare', '/tags', '/erased',
        ];
    }

    /** @return array{float, int} milliseconds on the server, the middle of five; and questions to the books */
    public function asked(string $page): array
    {
        $took = [];
        $queries = 0;
        for ($round = 0; $round < 6; $round++) {
            DB::flushQueryLog();
            DB::enableQueryLog();
            $from = hrtime(true);
            $answer = app(Kernel::class)->handle(Request::create($page));
            $took[] = (hrtime(true) - $from) / 1e6;
            $queries = count(DB::getQueryLog());
            if ($answer->getStatusCode() >= 400) {
                throw new RuntimeException("{$page} answers {$answer->getStatusCode()}.");
            }
        }
        // The first one also loads classes.
        $took = array_slice($took, 1);
        sort($took);

        return [$took[2], $queries];
    }

    /** @return array{float, float, int} seconds that a report of all three years takes, MB that it takes at the most, and slices */
    public function reported(): array
    {
        memory_reset_peak_usage();
        $before = memory_get_usage();
        $from = hrtime(true);
        $report = ReportBook::begin(Carbon::now()->subDays(self::DAYS), Carbon::now(), 'the trial');
        $slices = 0;
        while (! $report->isDone()) {
            $report = ReportBook::goOn($report);
            $slices++;
        }
        ReportSheet::pdf($report);

        return [(hrtime(true) - $from) / 1e9, (memory_get_peak_usage() - $before) / 1e6, $slices];
    }

    private function enterCards(): void
    {
        $cards = [];
        for ($i = 1; $i <= $this->cards; $i++) {
            $cards[] = [
                'tag' => sprintf('H-%05d', $i),
                'name' => 'Selkie Spate '.($i % 40),
                'form' => 'sd',
                'capacity' => 64_000_000_000,
                'family' => 'SDXC',
                'bus' => 'uhs-i',
                'marks' => ['V30'],
                'footage' => 0,
                'lot' => 'LT-'.intdiv($i, 20),
                'price' => 1500 + $i % 900,
                'currency' => 'EUR',
                'seller' => 'shop '.($i % 12),
                'bought_on' => Carbon::now()->subDays(self::DAYS)->format('Y-m-d'),
            ];
        }
        CardBook::enter($cards, 'the trial');
        (new DemoModes())->modes();
    }

    private function enterRuns(): void
    {
        $ids = Card::query()->orderBy('id')->pluck('id')->all();
        // Each of so many long writes is put together once: a house of a million runs is to be made in minutes.
        $made = array_map(self::longWrite(...), range(0, 299));
        for ($i = 0; $i < $this->runs; $i += 500) {
            $rows = [];
            for ($at = $i; $at < min($i + 500, $this->runs); $at++) {
                $when = Carbon::now()->subMinutes((int) (self::DAYS * 1440 * (1 - $at / $this->runs)))->format('Y-m-d H:i:s');
                $rows[] = [
                    ...$made[$at * 37 % 300],
                    'card_id' => $ids[$at % count($ids)],
                    'created_at' => $when,
                    'updated_at' => $when,
                    'ended_at' => $when,
                ];
            }
            Run::query()->insert($rows);
        }
    }

    /** @return array<string, mixed> as it is kept */
    private static function longWrite(int $tenths): array
    {
        $bytes = Bytes::gigabytes(20);
        $rate = 60.0 + $tenths / 10;

        return (new Run())->forceFill([
            'kind' => RunKind::Sustained,
            'state' => RunState::Done,
            'source' => RunSource::Device,
            'chain' => Chain::over('R1', Bus::UhsI, HostLink::UsbGen1),
            'parameters' => new SizeParameters($bytes),
            'result' => new SustainedRecord(
                new Passage($bytes, Span::seconds(20e3 / $rate)),
                LongWrite::pieces([[20e9, Rate::megabytesPerSecond($rate)]]),
            ),
            'carried' => $rate * 1e6,
            'recorded_by' => 'the trial',
        ])->getAttributes();
    }
}
