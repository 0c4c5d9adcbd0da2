<?php

declare(strict_types=1);

namespace Tools\Trial;

use App\Intake\CardBook;
use App\Models\Cards\Card;
use App\Models\People\Role;
use App\Models\Runs\Run;
use App\Models\Stations\Slot;
use App\Models\Stations\Station;
use App\People\PeopleBook;
use App\Runs\Ordering\OrderRun;
use App\Runs\Ordering\RunOrder;
use Database\Seeders\DemoGear;
use Illuminate\Support\Facades\DB;
use RuntimeException;
use Symfony\Component\Process\Process;
use Tally\Label\Bus;
use Tally\Label\Family;
use Tally\Label\Form;
use Tally\Label\Mark;
use Tally\Record\ProofParameters;
use Tally\Record\RunKind;

/** The application as it is served, on books and a port of its own, with many people at its pages while a run goes on. */
final class LoadTrial
{
    private const PASSWORD = 'a password for the load';

    private readonly ScratchDatabase $database;

    private readonly int $port;

    private readonly Process $keeper;

    /** @var non-empty-list<string> */
    private array $pages = ['/intake', '/kit', '/compare', '/erased'];

    private int $run = 0;

    public function __construct(private readonly string $folder, private readonly int $people, private readonly int $cards)
    {
        $this->port = FreePort::take();
        $this->database = new ScratchDatabase($this->folder);
        $this->database->begin();
        config(['hashing.argon.memory' => 64, 'hashing.argon.time' => 1]);
        (new DemoGear())->run();
        $this->fill();
        $env = [
            ...$this->database->env(),
            'GRITTY_RUN' => $this->folder,
            'APP_PORT' => (string) $this->port,
            'APP_URL' => "http://{$this->address()}",
            'TALLY_STAND_IN_SECONDS' => '600',
            'HASH_MEMORY' => '64',
            'HASH_TIME' => '1',
            'LOG_LEVEL' => 'error',
        ];
        (new Process([base_path('bin/site')], base_path(), $env, timeout: 60))->mustRun();
        (new Process([base_path('bin/owner')], base_path(), $env, timeout: 60))->mustRun();
        // Its database is kept here, since it is to be there before and after.
        $command = ['supervisord', '--nodaemon', '-c', $this->folder.(posix_geteuid() === 0 ? '.root' : '').'/supervisor.conf'];
        $this->keeper = new Process($command, base_path(), $env, timeout: null);
        $this->keeper->disableOutput();
        $this->keeper->start();
        $visitor = new Visitor($this->address());
        for ($tries = 0; $visitor->get('/up')[0] !== 200; $tries++) {
            $tries < 200 || throw new RuntimeException("The pages do not answer; {$this->folder}/*.log say why.");
            usleep(100_000);
        }
        $this->order();
    }

    /**
     * One reader, page after page.
     *
     * @return list<float> milliseconds
     */
    public function alone(int $times): array
    {
        $visitor = $this->visitor(0);
        $took = [];
        for ($i = 0; $i < $times + 10; $i++) {
            [, $seconds] = $visitor->get($this->pages[$i % count($this->pages)]);
            // The first ones fill caches.
            if ($i >= 10) {
                $took[] = 1000 * $seconds;
            }
        }

        return $took;
    }

    /** @return array{took: list<float>, errors: array<string, int>, seconds: float} as Crowd has it */
    public function together(float $seconds): array
    {
        return Crowd::visit(array_map(fn (int $i): Visitor => $this->visitor($i), range(0, $this->people - 1)), $this->pages, $seconds);
    }

    /** @return float bytes a second that a page which follows a run asks for, as resources/js/frame/pulse.ts does */
    public function followed(float $seconds): float
    {
        $visitor = $this->visitor(0);
        $mark = urlencode((string) DB::scalar('SELECT NOW(6)')); // @phpstan-ignore cast.string
        $bytes = 0;
        $began = hrtime(true) / 1e9;
        for (; hrtime(true) / 1e9 < $began + $seconds; usleep(700_000)) {
            [$status, , $came] = $visitor->get("/pulse?since={$mark}&run={$this->run}");
            $status === 200 || throw new RuntimeException("/pulse answered {$status}.");
            $bytes += $came;
        }

        return $bytes / (hrtime(true) / 1e9 - $began);
    }

    /**
     * One person asks for so many plans at once, again and again, while others sign in, look at the tray and press stop.
     *
     * @return array<string, list<float>> what was asked → milliseconds
     */
    public function besideSearches(int $searches, float $seconds): array
    {
        DB::disconnect();
        $tags = DB::table('cards')->orderBy('id')->limit(24)->pluck('tag');
        DB::table('cards')->whereIn('tag', $tags)->update(['footage' => 50_000_000_000]);
        $visitors = array_map(fn (): Visitor => $this->visitor(1), range(1, $searches));
        $plan = '/offload?'.http_build_query(['longer' => 1, 'cards' => $tags->all()]);
        $child = pcntl_fork();
        if ($child === 0) {
            $multi = curl_multi_init();
            for (; ;) {
                foreach ($visitors as $visitor) {
                    curl_multi_add_handle($multi, $visitor->ask($plan));
                }
                do {
                    curl_multi_exec($multi, $running);
                    curl_multi_select($multi, 0.05);
                } while ($running > 0);
                foreach ($visitors as $visitor) {
                    curl_multi_remove_handle($multi, $visitor->ask($plan));
                }
            }
        }
        usleep(1_500_000);
        $took = ['sign-in' => [], 'tray' => [], 'stop' => []];
        $looks = $this->visitor(0);
        for ($end = hrtime(true) + $seconds * 1e9; hrtime(true) < $end;) {
            $comes = new Visitor($this->address());
            $comes->get('/sign-in');
            $took['sign-in'][] = 1000 * $comes->press('/sign-in', ['name' => 'person 2', 'password' => self::PASSWORD])[1];
            $took['tray'][] = 1000 * $looks->get('/pulse?since='.urlencode(now()->format('Y-m-d H:i:s')))[1];
            $took['stop'][] = 1000 * $looks->press("/runs/{$this->run}/stop")[1];
        }
        posix_kill($child, SIGKILL);
        pcntl_waitpid($child, $status);

        return $took;
    }

    public function runGoesOn(): bool
    {
        DB::disconnect();

        return Run::query()->whereKey($this->run)->firstOrFail()->state->isGoing();
    }

    public function end(): void
    {
        $this->keeper->signal(SIGTERM);
        $this->keeper->wait();
        $this->database->end();
    }

    private function address(): string
    {
        return "127.0.0.1:{$this->port}";
    }

    private function visitor(int $i): Visitor
    {
        $visitor = new Visitor($this->address());

        return $visitor->signIn("person {$i}", self::PASSWORD) ? $visitor : throw new RuntimeException("Person {$i} could not sign in.");
    }

    private function fill(): void
    {
        for ($i = 0; $i < max(2, $this->people); $i++) {
            PeopleBook::enter("person {$i}", $i === 0 ? Role::Lead : Role::Technician, self::PASSWORD);
        }
        $rows = [];
        for ($i = 1; $i <= $this->cards; $i++) {
            $rows[] = [
                'tag' => sprintf('L-%05d', $i),
                'name' => 'Tindle Classic',
                'form' => Form::Sd,
                'capacity' => 64_000_000_000,
                'family' => Family::Sdxc,
                'bus' => Bus::UhsI,
                'marks' => [Mark::U3, Mark::V30],
                'read' => 95e6,
                'write' => 60e6,
                'sustained' => null,
                'times' => null,
                'contact_rows' => 1,
                'footage' => 0,
                'serial' => null,
                'back_code' => null,
                'price' => null,
                'currency' => null,
                'seller' => null,
                'order_no' => null,
                'lot' => 'lot '.intdiv($i, 20),
                'bought_on' => null,
                'provenance' => null,
            ];
        }
        CardBook::enter($rows, 'the load');
        foreach (['intake', 'inspect', 'measure', 'prove', 'offload'] as $n => $stage) {
            for ($i = 0; $i < 6; $i++) {
                $this->pages[] = sprintf('/%s/L-%05d', $stage, 1 + (($n * 97 + $i * 311) % $this->cards));
            }
        }
    }

    private function order(): void
    {
        $station = Station::mustBeHere();
        $card = Card::query()->where('tag', 'L-00001')->firstOrFail();
        $this->run = app(OrderRun::class)->order(
            $card,
            $station,
            new RunOrder(
                $station->slot(Slot::query()->where('kind', 'stand-in')->firstOrFail()->id),
                RunKind::Proof,
                new ProofParameters(),
                by: 'the load',
            ),
        )->id;
        for ($tries = 0; Run::query()->whereKey($this->run)->firstOrFail()->progress === null; $tries++) {
            $tries < 200 || throw new RuntimeException('The run does not begin.');
            usleep(100_000);
        }
    }
}
