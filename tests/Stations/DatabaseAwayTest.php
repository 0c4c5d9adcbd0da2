<?php

declare(strict_types=1);

namespace Tests\Stations;

use App\Models\Cards\Card;
use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use App\Runs\Filing\UnfiledResult;
use Database\Seeders\DemoGear;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Process;
use Tally\Verdict\VerdictKind;
use Tools\Trial\ScratchDatabase;

/** A database server of its own goes away in mid-run, for real, under a worker that is a process of its own. */
final class DatabaseAwayTest extends StationTestCase
{
    private ScratchDatabase $database;

    protected function setUp(): void
    {
        parent::setUp();
        $this->database = new ScratchDatabase($this->inMemory());
        $this->database->begin();
        $this->seed(DemoGear::class);
    }

    protected function tearDown(): void
    {
        $this->database->end();
        foreach (UnfiledResult::waiting() as $file) {
            unlink($file);
        }
        parent::tearDown();
    }

    private function process(string ...$options): Process
    {
        $process = new Process(
            [PHP_BINARY, base_path('artisan'), 'tally:station', ...$options],
            base_path(),
            [...$this->database->env(), 'TALLY_STAND_IN_SECONDS' => '4', 'TALLY_FOLDERS' => '/tmp'],
            timeout: 180,
        );
        $process->start();

        return $process;
    }

    /** @return list<string> */
    private function unfiled(): array
    {
        $files = glob(storage_path('app/unfiled-'.ScratchDatabase::NAME.'/*.json'));

        return $files === false ? [] : $files;
    }

    private function ordered(Card $card, string $slot, ?string $size = null): Run
    {
        $this->post("/cards/{$card->tag}/runs", [
            'kind' => 'proof',
            'slot' => $this->slot($slot)->id,
            'size' => $size,
        ])->assertSessionHasNoErrors();

        return $this->newest();
    }

    private function state(Run $run): ?RunState
    {
        DB::disconnect();

        return Run::query()->whereKey($run->id)->first()?->state;
    }

    public function test_a_proof_that_ends_while_the_database_is_away_is_filed_when_it_is_back(): void
    {
        $card = $this->card();
        $run = $this->ordered($card, 'Tray 3');
        $worker = $this->process('--once');
        self::until(fn (): bool => $run->refresh()->progress !== null, 'the proof goes on');
        $this->database->stop();
        self::until(fn (): bool => $this->unfiled() !== [], 'the result is on the disk');
        $this->get('/intake')->assertStatus(503)->assertSee('One result waits there now.');
        self::assertTrue($worker->isRunning(), 'The worker died of it: '.$worker->getErrorOutput());
        $this->database->start();
        self::until(fn (): bool => $this->state($run) === RunState::Done, 'the result is filed');
        $worker->wait();
        self::assertSame([], $this->unfiled());
        self::assertSame($card->capacity->count, Run::query()->findOrFail($run->id)->proof()?->read->bytes->count);
        self::assertSame(0, DB::table('jobs')->count());
    }

    public function test_a_result_outlives_its_worker_too_and_is_filed_once(): void
    {
        $point = $this->mounted('ext4', 96);
        $this->bay('Bay 1', $point);
        $card = $this->smallCard(96 << 20);
        $run = $this->ordered($card, 'Bay 1', '64 MB');
        $worker = $this->process('--once');
        self::until(fn (): bool => self::bytesIn($point) > 1 << 20, 'the proof writes');
        $this->database->stop();
        self::until(fn (): bool => $this->unfiled() !== [], 'the result is on the disk');
        self::until(fn (): bool => self::bytesIn($point) === 0, 'what it wrote is cleared after that');
        $worker->signal(SIGKILL);
        $this->database->start();
        $next = $this->process();
        self::until(fn (): bool => $this->state($run) === RunState::Done, 'the next worker files it');
        self::until(fn (): bool => $this->unfiled() === [], 'nothing waits any more');
        $next->stop(5);
        self::assertSame(64_000_000, Run::query()->findOrFail($run->id)->proof()?->read->bytes->count);
        self::assertSame(VerdictKind::Unproven, $card->refresh()->verdict);
        self::assertSame(1, Run::query()->count());
    }
}
