<?php

declare(strict_types=1);

namespace Tests\Support;

use Symfony\Component\Process\Process;

/** `tally:offload` in a process of its own, that can be killed, and what must be true of a drive whenever it was. */
trait KillsOffloads
{
    use CardFolder;

    /** @return array<string, string> path → what tells its bytes from others */
    private function sums(string $folder): array
    {
        return array_map(fn (string $bytes): string => hash('xxh128', $bytes), $this->tree($folder));
    }

    /** @param  list<string>  $options */
    private function offload(string $card, array $options): Process
    {
        $command = [PHP_BINARY, dirname(__DIR__, 2).'/artisan', 'tally:offload', $card, '--json', '--card=QS-014'];
        $process = new Process([...$command, ...$options], timeout: 60);
        $process->start();

        return $process;
    }

    /** @return bool whether it was still running */
    private function kill(Process $process, int $atLeast = 150_000, int $atMost = 1_200_000): bool
    {
        // From before the first byte until well into the reading back.
        usleep(random_int($atLeast, $atMost));
        $isRunning = $process->isRunning();
        if ($isRunning) {
            $process->signal(SIGKILL);
        }
        $process->wait();

        return $isRunning;
    }

    private function kills(int $few): int
    {
        $asked = (int) getenv('TALLY_KILLS');

        return $asked > 0 ? $asked : $few;
    }

    /** @param  array<string, string>  $card  path → sum */
    private function mustBeWholeSoFar(array $card, string $drive): void
    {
        foreach (is_dir("{$drive}/QS-014") ? $this->sums("{$drive}/QS-014") : [] as $path => $sum) {
            self::assertTrue(str_ends_with($path, '/') || $sum === ($card[$path] ?? null), "{$path} is not whole");
        }
    }

    /** @param  array<string, string>  $card  path → sum */
    private function mustBeHome(array $card, string $drive): void
    {
        self::assertSame($card, $this->sums("{$drive}/QS-014"));
        $check = 'sha256sum -c --quiet --strict QS-014.sha256 && xxhsum -c --quiet --strict QS-014.xxh128';
        exec('cd '.escapeshellarg($drive)." && {$check}", $said, $code);
        self::assertSame(0, $code, implode("\n", $said));
        self::assertSame([], glob("{$drive}/.gritty-tally-*"));
    }

    /** @return array<string, int> path → inode, of what has its name */
    private function inodes(string $drive): array
    {
        clearstatcache();
        $all = [];
        foreach (is_dir("{$drive}/QS-014") ? array_keys($this->tree("{$drive}/QS-014")) : [] as $path) {
            $all[$path] = (int) fileinode("{$drive}/QS-014/{$path}");
        }

        return $all;
    }
}
