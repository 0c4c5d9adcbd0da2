<?php

declare(strict_types=1);

namespace Tools\Trial\Scale;

use App\Models\Cards\Card;
use App\Models\Kit\Port;
use App\Models\Kit\Reader;
use App\Models\People\Role;
use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use App\Models\Stations\Station;
use App\People\PeopleBook;
use App\Runs\Ordering\OrderRun;
use App\Runs\Ordering\RunOrder;
use App\Stations\BenchBook;
use Illuminate\Support\Facades\DB;
use RuntimeException;
use Symfony\Component\Process\Process;
use Tally\Probe\SpeedPlan;
use Tally\Quantity\Bytes;
use Tally\Record\RunKind;
use Tally\Record\SpeedParameters;
use Tools\Trial\Crowd;
use Tools\Trial\FreePort;
use Tools\Trial\HouseTrial;
use Tools\Trial\ScratchDatabase;
use Tools\Trial\Shell;
use Tools\Trial\Visitor;

/**
 * A house that has outgrown one machine, as docs/scale.md lays it out: the books, a replica to read from, two web copies with disks of
 * their own and many benches, here all on ports of one machine.
 */
final class ScaleTrial
{
    private const PASSWORD = 'a password for the house';

    private const COPIES = 2;

    private readonly ScratchDatabase $books;

    private ReplicaServer $replica;

    /** @var list<ServedCopy> */
    private array $copies = [];

    /** @var list<Process> */
    private array $benches = [];

    /** @var list<Station> */
    private array $stations = [];

    private readonly string $address;

    /** @param  string  $folder  for all that it writes, outside the project: copies of it are made there */
    public function __construct(
        private readonly string $folder,
        private readonly int $cards,
        private readonly int $runs,
        private readonly int $benchCount,
        private readonly int $people,
    ) {
        // As other machines reach it: what is on loopback is taken for a copy's own.
        $this->address = explode(' ', Shell::must('hostname -I'))[0];
        $this->address !== '' || throw new RuntimeException('This machine has no address but loopback.');
        $this->books = new ScratchDatabase($folder, [
            'DB_LISTEN' => $this->address,
            'DB_PORT' => (string) FreePort::take(),
            'DB_REPLICAS' => '1',
        ]);
    }

    public function begin(): void
    {
        is_dir("{$this->folder}/replica") || mkdir("{$this->folder}/replica", 0700, true);
        $this->books->start();
        $said = $this->books->ask('replica', 'reading');
        $this->replica = new ReplicaServer("{$this->folder}/replica", $this->address, "{$this->folder}/db/tls.pem", $said);
        $this->books->begin();
        config(['hashing.argon.memory' => 64, 'hashing.argon.time' => 1]);
        (new HouseTrial($this->books, $this->cards, $this->runs))->fill();
        for ($i = 0; $i < $this->people; $i++) {
            PeopleBook::enter("person {$i}", $i === 0 ? Role::Lead : Role::Technician, self::PASSWORD);
        }
        for ($i = 1; $i <= $this->benchCount; $i++) {
            $this->stations[] = self::bench("Bench {$i}");
        }
        $this->replica->catchesUp($this->position(), 600);
        $key = 'base64:'.base64_encode(random_bytes(32));
        foreach ($this->stations as $i => $station) {
            $settings = [
                ...$this->settings("bench-{$i}"),
                'APP_KEY' => $key,
                'TALLY_STATION' => $station->name,
                'TALLY_STAND_IN_SECONDS' => '2',
            ];
            if ($i < self::COPIES) {
                $read = ['DB_READ_HOST' => $this->address, 'DB_READ_PORT' => (string) $this->replica->port];
                $this->copies[] = $copy = new ServedCopy("{$this->folder}-web-{$i}", [
                    ...$settings,
                    ...$read,
                    'HASH_MEMORY' => '64',
                    'HASH_TIME' => '1',
                    'LOG_LEVEL' => 'warning',
                ]);
                $copy->start();
            } else {
                $this->benches[] = $this->station($settings, "{$this->folder}-bench-{$i}");
            }
        }
        $deadline = time() + 60;
        while (Station::query()->get()->filter(fn (Station $one): bool => $one->hasWorker())->count() < $this->benchCount) {
            time() < $deadline || throw new RuntimeException('Not every bench is at work.');
            usleep(200_000);
        }
    }

    /**
     * One reader, at one web copy and then the other.
     *
     * @param  callable(int): string  $page  of each time
     * @return list<float> milliseconds
     */
    public function alone(callable $page, int $times): array
    {
        $visitor = $this->visitor(0);
        $took = [];
        for ($i = -10; $i < $times; $i++) {
            $at = $page(abs($i));
            [$status, $seconds] = $visitor->get($at);
            $status === 200 || throw new RuntimeException("{$at} answered {$status}.");
            // The first ones fill caches.
            if ($i >= 0) {
                $took[] = 1000 * $seconds;
            }
        }

        return $took;
    }

    /** A page of some card, all over the house and through the stages. */
    public function cardPage(int $i): string
    {
        $stages = ['intake', 'inspect', 'measure', 'prove', 'fit', 'offload', 'ledger'];

        return sprintf('/%s/H-%05d', $stages[$i % count($stages)], 1 + ($i * 7919) % $this->cards);
    }

    /** What is typed into the tray: a tag, a verdict, something that nobody has, one that all have. */
    public function search(int $i): string
    {
        $typed = [sprintf('h-%05d', 1 + ($i * 7919) % $this->cards), 'sham', 'nowhere', '64 gb'];

        return '/pulse?'.http_build_query(['since' => now()->format('Y-m-d H:i:s'), 'find' => $typed[$i % count($typed)]]);
    }

    /** @return array{took: list<float>, errors: array<string, int>, seconds: float} as Crowd has it */
    public function together(float $seconds): array
    {
        $pages = array_map($this->cardPage(...), range(1, 60));

        return Crowd::visit(array_map($this->visitor(...), range(0, $this->people - 1)), $pages, $seconds);
    }

    /** @return list<float> seconds from the order to the begin, one for each bench; all are ordered at once and all must end well */
    public function ordered(): array
    {
        $runs = [];
        $what = new SpeedParameters(SpeedPlan::plain(Bytes::of(64_000_000)));
        foreach ($this->stations as $i => $station) {
            config(['tally.station' => $station->name]);
            $runs[] = app(OrderRun::class)->order(
                Card::query()->where('tag', sprintf('H-%05d', $i + 1))->firstOrFail(),
                $station,
                new RunOrder($station->slots()->firstOrFail(), RunKind::Speed, $what, by: 'person 0'),
            )->id;
        }
        $ordered = microtime(true);
        $begun = [];
        while (count($begun) < count($runs)) {
            foreach (Run::query()->whereKey($runs)->where('state', '!=', RunState::Waiting)->get('id') as $run) {
                $begun[$run->id] ??= microtime(true) - $ordered;
            }
            microtime(true) - $ordered < 60 || throw new RuntimeException('A bench does not take what was ordered.');
            usleep(20_000);
        }
        while (Run::query()->whereKey($runs)->where('state', RunState::Done)->count() < count($runs)) {
            microtime(true) - $ordered < 120 || throw new RuntimeException('A run did not end well.');
            usleep(200_000);
        }

        return array_values($begun);
    }

    /** @return array{float, float} questions a second that the benches put to the books while nothing is asked of them, and MB of books */
    public function idle(float $seconds): array
    {
        $asked = function (): int {
            $count = DB::scalar("SELECT variable_value FROM information_schema.global_status WHERE variable_name = 'QUESTIONS'");

            return is_numeric($count) ? (int) $count : 0;
        };
        [$from, $began] = [$asked(), hrtime(true)];
        usleep((int) ($seconds * 1e6));
        $rate = ($asked() - $from) / ((hrtime(true) - $began) / 1e9);
        $size = DB::scalar(
            'SELECT SUM(data_length + index_length) FROM information_schema.tables WHERE table_schema = DATABASE()',
        );

        return [$rate, is_numeric($size) ? (float) $size / 1e6 : 0.0];
    }

    /** @return list<float> milliseconds by which the replica is behind what has just been written */
    public function behind(int $times): array
    {
        return array_map(function (): float {
            Card::query()->whereKey(random_int(1, $this->cards))->update(['footage_files' => random_int(0, 9)]);

            return 1000 * $this->replica->catchesUp($this->position(), 10);
        }, range(1, $times));
    }

    /** @return int questions that the replica was asked */
    public function askedOfReplica(): int
    {
        return $this->replica->asked();
    }

    public function end(): void
    {
        foreach ($this->benches as $bench) {
            $bench->stop(5);
        }
        foreach ($this->copies as $copy) {
            $copy->end();
        }
        if (isset($this->replica)) {
            $this->replica->end();
        }
        $this->books->end();
    }

    private function position(): string
    {
        $position = DB::scalar('SELECT @@gtid_binlog_pos');

        return is_string($position) ? $position : '';
    }

    private function visitor(int $i): Visitor
    {
        $visitor = new Visitor(...array_map(fn (ServedCopy $copy): string => $copy->address(), $this->copies));

        return $visitor->signIn("person {$i}", self::PASSWORD) ? $visitor : throw new RuntimeException("Person {$i} could not sign in.");
    }

    private static function bench(string $name): Station
    {
        $station = BenchBook::found($name, Port::query()->where('name', 'front port')->firstOrFail()->host_id);
        BenchBook::keep($station, null, [
            'name' => 'Tray',
            'kind' => 'stand-in',
            'path' => null,
            'reader_id' => Reader::query()->where('tag', 'R1')->firstOrFail()->id,
            'port_id' => Port::query()->where('host_id', $station->host_id)->firstOrFail()->id,
        ]);

        return $station;
    }

    /** @return array<string, string> what bin/database says that the .env of such a machine holds */
    private function settings(string $account): array
    {
        preg_match_all('/^([A-Z_]+)=(.*)$/m', $this->books->ask('bench', $account), $lines);

        return [...array_combine($lines[1], $lines[2]), 'MYSQL_ATTR_SSL_CA' => "{$this->folder}/db/tls.pem"];
    }

    /** @param  array<string, string>  $settings */
    private function station(array $settings, string $storage): Process
    {
        foreach (['app/private', 'framework/cache/data', 'framework/views', 'logs'] as $folder) {
            is_dir("{$storage}/{$folder}") || mkdir("{$storage}/{$folder}", 0700, true);
        }
        $process = new Process(
            [PHP_BINARY, base_path('artisan'), 'tally:station'],
            base_path(),
            [...$settings, 'DB_SOCKET' => '', 'LARAVEL_STORAGE_PATH' => $storage],
            timeout: null,
        );
        $process->disableOutput();
        $process->start();

        return $process;
    }
}
