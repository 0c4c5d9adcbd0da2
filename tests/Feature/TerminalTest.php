<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Runs\Run;
use App\Runs\Filing\UnfiledResult;
use Illuminate\Database\QueryException;
use PDOException;
use Symfony\Component\Process\Process;
use Tests\Support\TemporaryFolder;
use Tests\TestCase;

/** The probes in the terminal, as processes of their own. */
final class TerminalTest extends TestCase
{
    use TemporaryFolder;

    /**
     * @param  list<string>  $arguments
     * @param  array<string, string>  $environment
     */
    private function tally(array $arguments, array $environment = []): Process
    {
        // By default with a database that does not answer: neither command may need one.
        return new Process([PHP_BINARY, 'artisan', ...$arguments], base_path(), ['DB_SOCKET' => '/nowhere', ...$environment], timeout: 120);
    }

    /** @return array<string, mixed> */
    private static function decoded(Process $process): array
    {
        $json = json_decode($process->getOutput(), true, flags: JSON_THROW_ON_ERROR);
        self::assertIsArray($json);

        /** @var array<string, mixed> $json */
        return $json;
    }

    public function test_proving_a_folder_without_a_database(): void
    {
        $folder = $this->folder();
        file_put_contents("{$folder}/clip.mov", 'footage');
        $process = $this->tally(['tally:prove', $folder, '--size=30MB', '--json']);
        self::assertSame(0, $process->run(), $process->getErrorOutput());
        $json = self::decoded($process);
        self::assertSame(
            [30_000_000, 30_000_000, 30_000_000, null, null, 'Unproven'],
            [$json['size'], $json['capacity'], $json['holds'], $json['first_bad'], $json['wrap'], $json['verdict']],
        );
        self::assertSame(30_000_000, array_sum((array) $json['classes']));
        foreach (['write', 'read'] as $way) {
            self::assertSame(['bytes', 'seconds', 'rate'], array_keys((array) $json[$way]));
        }
        self::assertSame(['clip.mov'], self::everything($folder));
    }

    public function test_a_fake_is_told_by_the_exit_code(): void
    {
        $process = $this->tally(['tally:prove', 'stand-in:wraps,size=32GB,true=8GB', '--json']);
        self::assertSame(1, $process->run());
        $json = self::decoded($process);
        self::assertSame(
            [8_000_000_000, 8_000_000_000, 0, 'Sham'],
            [$json['capacity'], $json['wrap'], $json['first_bad'], $json['verdict']],
        );
        $process = $this->tally(['tally:prove', 'stand-in:drops,size=32GB,true=4GB', '--json']);
        self::assertSame(1, $process->run());
        $json = self::decoded($process);
        self::assertSame(
            [4_000_000_000, null, 4_000_000_000, 'Sham'],
            [$json['capacity'], $json['wrap'], $json['first_bad'], $json['verdict']],
        );
    }

    public function test_an_honest_stand_in_is_sound_and_a_terabyte_takes_seconds(): void
    {
        $process = $this->tally(['tally:prove', 'stand-in:honest,size=1TB', '--json']);
        self::assertSame(0, $process->run());
        self::assertSame('Sound', self::decoded($process)['verdict']);
    }

    public function test_a_part_of_a_stand_in(): void
    {
        $process = $this->tally(['tally:prove', 'stand-in:wraps,size=32GB,true=8GB', '--size=5GB', '--json']);
        self::assertSame(0, $process->run());
        $json = self::decoded($process);
        self::assertSame([5_000_000_000, 5_000_000_000, 'Unproven'], [$json['size'], $json['holds'], $json['verdict']]);
    }

    public function test_words_for_people(): void
    {
        $process = $this->tally(['tally:prove', 'stand-in:patchy,size=32GB,patches=3']);
        self::assertSame(1, $process->run());
        self::assertStringStartsWith('Shaky.', $process->getOutput());
        self::assertStringContainsString('scrambled', $process->getOutput());
        self::assertStringContainsString('%', $process->getErrorOutput(), 'the progress bar');
    }

    public function test_speed_of_a_folder(): void
    {
        $folder = $this->folder();
        $process = $this->tally(['tally:speed', $folder, '--size=20MB', '--runs=3', '--json']);
        self::assertSame(0, $process->run(), $process->getErrorOutput());
        $json = self::decoded($process);
        self::assertCount(3, (array) $json['writes']);
        self::assertSame(20_000_000, $json['region']);
        self::assertIsArray($json['write']);
        self::assertGreaterThan(0, $json['write']['median']);
        self::assertSame([], self::everything($folder));
        $process = $this->tally(['tally:speed', 'stand-in:honest,write=60MB/s', '--runs=3']);
        self::assertSame(0, $process->run());
        self::assertStringContainsString('median of 3', $process->getOutput());
    }

    public function test_what_cannot_run_says_why_on_standard_error(): void
    {
        $file = $this->folder().'/file';
        touch($file);
        $folder = $this->folder();
        $cases = [
            [['tally:prove', '/no/such/folder'], 'There is no folder “/no/such/folder”'],
            [['tally:prove', $file], 'is not a folder'],
            [['tally:prove', $folder, '--size=huge'], '“huge” is not a size'],
            [['tally:prove', $folder, '--size=0GB'], '--size was “0GB”'],
            [['tally:prove', $folder, '--size=900PB'], '900 PB was asked for'],
            [['tally:prove', $folder, '--size=1MB', '--card=QS-1'], '--card needs the database'],
            [['tally:prove', 'stand-in:melts'], 'does not begin with what the stand-in does'],
            [['tally:speed', $folder, '--runs=0'], '1 to 50 runs'],
            [['tally:speed', $folder, '--runs=many'], '--runs was “many”'],
        ];
        foreach ($cases as [$arguments, $words]) {
            $process = $this->tally($arguments);
            self::assertSame(2, $process->run(), implode(' ', $arguments));
            self::assertStringContainsString($words, $process->getErrorOutput());
            self::assertSame('', $process->getOutput());
        }
        self::assertSame([], self::everything($folder));
    }

    public function test_ctrl_c_leaves_the_folder_as_it_was(): void
    {
        $folder = $this->folder();
        $process = $this->tally(['tally:prove', $folder, '--size=8GB']);
        $process->start();
        $this->waitForFiles($folder, $process);
        $process->signal(SIGINT);
        self::assertSame(2, $process->wait());
        self::assertStringContainsString('Stopped:', $process->getErrorOutput());
        self::assertSame([], self::everything($folder));
    }

    public function test_after_kill_9_the_next_run_clears_up(): void
    {
        $folder = $this->folder();
        file_put_contents("{$folder}/clip.mov", 'footage');
        $process = $this->tally(['tally:prove', $folder, '--size=8GB']);
        $process->start();
        $this->waitForFiles($folder, $process);
        $process->signal(SIGKILL);
        $process->wait();
        self::assertGreaterThan(1, count(self::everything($folder)));
        self::assertSame(0, $this->tally(['tally:prove', $folder, '--size=5MB'])->run());
        self::assertSame(['clip.mov'], self::everything($folder));
    }

    private function waitForFiles(string $folder, Process $process): void
    {
        $process->waitUntil(fn (): bool => count(self::everything($folder)) >= 3);
    }

    public function test_a_result_is_filed_under_a_card(): void
    {
        // In this process, so that the card of this test's transaction can be seen.
        $card = $this->card();
        $this->command('tally:prove', [
            'path' => 'stand-in:wraps,size=32GB,true=8GB',
            '--card' => $card->tag,
            '--json' => true,
        ])->assertExitCode(1);
        self::assertSame('Sham', $card->refresh()->verdict->value);
        $run = Run::query()->firstOrFail();
        self::assertSame([null, 8_000_000_000], [$run->slot_id, $run->rawResult()['wrap'] ?? null]);
        $this->command('tally:speed', ['path' => 'stand-in:honest', '--runs' => '2', '--card' => $card->tag])->assertExitCode(0);
        self::assertSame(2, Run::query()->count());
        $this->get("/measure/{$card->tag}")->assertOk();
        $this->get("/prove/{$card->tag}")->assertOk();
        $this->command('tally:prove', ['path' => 'stand-in:honest', '--card' => 'NO-1'])->assertExitCode(2);
    }

    public function test_a_result_that_cannot_be_filed_is_not_lost(): void
    {
        $card = $this->card();
        Run::creating(
            fn () => throw new QueryException(
                'mariadb',
                'insert into `runs`',
                [],
                new PDOException('SQLSTATE[HY000] [2002] Connection refused', 2002),
            ),
        );
        try {
            $this->command('tally:prove', ['path' => 'stand-in:wraps,size=32GB,true=8GB', '--card' => $card->tag, '--json' => true])
                ->expectsOutputToContain('"wrap":8000000000')
                ->expectsOutputToContain('The result is on the disk of this machine, and is filed under T-1 when the station starts next.')
                ->assertExitCode(1);
        } finally {
            Run::flushEventListeners();
        }
        self::assertSame(0, Run::query()->count());
        // It waits on the disk with the card it belongs to, and is filed as tests/Stations shows.
        self::assertCount(1, $waiting = UnfiledResult::waiting());
        self::assertStringContainsString('"tag":"T-1"', (string) file_get_contents($waiting[0]));
        unlink($waiting[0]);
    }

    public function test_the_engine_is_compared_with_the_machine(): void
    {
        $folder = $this->folder();
        $process = $this->tally(['bench:engine', "--at={$folder}", '--size=8MiB', '--rounds=2', '--json']);
        self::assertSame(0, $process->run(), $process->getErrorOutput());
        $json = self::decoded($process);
        self::assertSame(['write', 'verify', 'gigabytes_per_second'], array_keys($json));
        self::assertGreaterThan(0, $json['write']);
        self::assertSame([], self::everything($folder));
        $told = $this->tally(['bench:engine', "--at={$folder}", '--size=8MiB', '--rounds=1']);
        self::assertSame(0, $told->run(), $told->getOutput());
        self::assertMatchesRegularExpression('~round 1: write [\d.]+, verify [\d.]+ of dd \([\d.]+ and [\d.]+ GB/s\)~', $told->getOutput());
        self::assertSame(2, $this->tally(['bench:engine', '--at=/no/such/folder'])->run());
    }
}
