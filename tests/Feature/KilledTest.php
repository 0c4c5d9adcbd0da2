<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Support\Counterfeit;

/** A proof in the terminal, killed with -9 at random moments and continued, against a counterfeit of other people's parts. */
final class KilledTest extends TestCase
{
    use Counterfeit;

    private const MIB = 1_048_576;

    /** `TALLY_KILLS=50` for more. */
    private const TIMES = 12;

    private ?string $storage = null;

    public function test_killed_again_and_again_it_comes_to_the_same_end(): void
    {
        $path = $this->counterfeit('spots', 192 * self::MIB, ['delay' => 4]);
        $reference = $this->finished($path, []);
        $killed = 0;
        $resumed = false;
        $moments = [];
        $times = max(self::TIMES, (int) getenv('TALLY_KILLS'));
        while ($killed < $times) {
            // Some while the program begins, some soon after it has begun to write, some soon after a checkpoint:
            // how long it takes to come there is the machine's affair.
            $sign = ['at once' => null, 'begun' => $this->ledger(), 'checkpoint' => $this->checkpoint($path)];
            $after = array_keys($sign)[random_int(0, 2)];
            $before = $this->state($sign[$after]);
            $process = $this->prove($path, $resumed ? ['--resume'] : []);
            $process->start();
            while ($sign[$after] !== null && $process->isRunning() && $this->state($sign[$after]) === $before) {
                usleep(1000);
            }
            usleep($wait = random_int(0, 400_000));
            $moments[] = round($wait / 1000)." ms after {$after}";
            // It may have come to its end just now; then nothing was killed.
            $pid = $process->getPid();
            $killed += $pid !== null && posix_kill($pid, SIGKILL) ? 1 : 0;
            $process->stop(0);
            // Nothing to go on from before the first checkpoint: then it begins anew, as a person would.
            $resumed = is_file($this->checkpoint($path));
        }
        $result = $this->finished($path, $resumed ? ['--resume'] : []);
        $told = 'killed '.implode(', ', $moments);
        foreach (['size', 'capacity', 'holds', 'classes', 'condition', 'wrong_bits', 'patches', 'verdict'] as $key) {
            self::assertSame($reference[$key] ?? 'none', $result[$key] ?? 'nothing', "{$key}, {$told}");
        }
        self::assertSame(40, $result['wrong_bits'] ?? null);
        // Each time it was begun is in the ledger: here in the file that the books take over, since they did not answer.
        $ledger = file($this->ledger());
        self::assertNotFalse($ledger);
        self::assertGreaterThan($times / 5, count(array_filter($ledger, fn (string $line): bool => str_contains($line, 'continued'))));
    }

    /** Of its own, so that what is kept on this machine is left alone. */
    private function storage(): string
    {
        $this->storage ??= $this->folder();
        @mkdir("{$this->storage}/app");
        @mkdir("{$this->storage}/framework/cache", recursive: true);
        @mkdir("{$this->storage}/logs");

        return $this->storage;
    }

    private function ledger(): string
    {
        return $this->storage().'/app/erasures-'.getenv('DB_DATABASE').'.jsonl';
    }

    private function checkpoint(string $path): string
    {
        return $this->storage().'/app/proofs/'.hash('sha256', (string) realpath($path)).'.json';
    }

    /** @return string something else each time the file is written */
    private function state(?string $file): string
    {
        clearstatcache();
        $stat = $file === null ? false : @stat($file);

        return $stat === false ? 'none' : "{$stat['ino']} {$stat['size']} {$stat['mtime']}";
    }

    /** @param  list<string>  $more */
    private function prove(string $path, array $more): Process
    {
        return new Process(
            [PHP_BINARY, 'artisan', 'tally:prove', $path, '--raw', "--erase={$path}", '--json', ...$more],
            dirname(__DIR__, 2),
            ['DB_SOCKET' => '/nowhere', 'LARAVEL_STORAGE_PATH' => $this->storage()],
            timeout: 120,
        );
    }

    /**
     * @param  list<string>  $more
     * @return array<mixed>
     */
    private function finished(string $path, array $more): array
    {
        $process = $this->prove($path, $more);
        $process->run();
        $json = json_decode($process->getOutput(), true);
        self::assertIsArray($json, $process->getErrorOutput());

        return $json;
    }
}
