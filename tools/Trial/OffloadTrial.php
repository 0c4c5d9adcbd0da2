<?php

declare(strict_types=1);

namespace Tools\Trial;

use Random\Engine\Mt19937;
use Random\Randomizer;
use RuntimeException;
use Symfony\Component\Process\Process;

/** A card and drives that are folders of one disk, to hold an offload against the same by hand. */
final readonly class OffloadTrial
{
    private string $folder;

    private Randomizer $chance;

    public function __construct(string $folder)
    {
        $this->folder = "{$folder}/gritty-tally-bench-".bin2hex(random_bytes(4));
        mkdir($this->folder);
        $this->chance = new Randomizer(new Mt19937(20_261_127));
    }

    /** @return int bytes of files between 200 kB and 256 MB, as cameras leave them */
    public function mixed(int $megabytes): int
    {
        $this->empty();
        $bytes = 0;
        for ($i = 0; $bytes < $megabytes * 1_000_000; $i++) {
            $size = min($megabytes * 1_000_000 - $bytes, (int) (2e5 * 1280 ** ($this->chance->getInt(0, 1000) / 1000)));
            $this->write(sprintf('DCIM/%03d/clip-%05d', 100 + intdiv($i, 50), $i), $size);
            $bytes += $size;
        }
        $this->settle();

        return $bytes;
    }

    public function small(int $files): void
    {
        $this->empty();
        for ($i = 0; $i < $files; $i++) {
            $this->write(sprintf('DCIM/%03d/still-%05d', 100 + intdiv($i, 500), $i), 40_000);
        }
        $this->settle();
    }

    public function large(int $gigabytes): void
    {
        $this->empty();
        for ($i = 0; $i < $gigabytes; $i++) {
            $this->write("clip-{$i}", 1_000_000_000);
        }
        $this->settle();
    }

    /** @return array<string, float> step → seconds */
    public function byHand(): array
    {
        $sums = 'find . -type f -print0 | sort -z | xargs -0 sha256sum';

        return $this->steps([
            'cp -r' => 'cp -r card hand',
            'sync' => 'sync -f hand',
            'forget the copy' => $this->forgetting('hand'),
            'sha256sum of the card' => "cd card && {$sums} > ../card.sums",
            'sha256sum of the copy' => "cd hand && {$sums} > ../hand.sums && cmp ../card.sums ../hand.sums",
        ]);
    }

    /** @return array<string, float> step → seconds */
    public function byHandWithoutFlush(): array
    {
        return $this->steps([
            'cp -r' => 'cp -r card hand',
            'sha256sum of the copy' => 'cd hand && find . -type f -print0 | xargs -0 sha256sum > ../hand.sums',
        ]);
    }

    /** @param  int  $drives  that it goes onto */
    public function ours(int $drives): TimedOffload
    {
        $to = [];
        for ($i = 1; $i <= $drives; $i++) {
            mkdir("{$this->folder}/drive-{$i}");
            $to[] = "--to={$this->folder}/drive-{$i}";
        }
        $this->forget('card');
        $process = new Process(
            ['/usr/bin/env', PHP_BINARY, base_path('artisan'), 'tally:offload', "{$this->folder}/card", ...$to, '--json'],
            timeout: null,
        );
        $start = hrtime(true);
        $process->start();
        $memory = 0;
        while ($process->isRunning()) {
            $memory = max($memory, self::memory($process->getPid()));
            usleep(20_000);
        }
        $seconds = (hrtime(true) - $start) / 1e9;
        $said = json_decode($process->getOutput(), true);
        $one = is_array($said) && is_array($said['transfers'] ?? null) ? $said['transfers'][0] ?? null : null;
        if ($process->getExitCode() !== 0 || ! is_array($one)) {
            throw new RuntimeException('The offload failed: '.$process->getErrorOutput());
        }
        $written = 0;
        foreach (is_array($one['copies'] ?? null) ? $one['copies'] : [] as $copy) {
            $written += is_array($copy) && is_int($copy['written'] ?? null) ? $copy['written'] : 0;
        }
        for ($i = 1; $i <= $drives; $i++) {
            $this->shell("rm -rf drive-{$i}");
        }

        return new TimedOffload($seconds, is_int($one['read'] ?? null) ? $one['read'] : 0, $written, $memory);
    }

    public function clear(): void
    {
        Process::fromShellCommandline('rm -rf '.escapeshellarg($this->folder), timeout: null)->run();
    }

    private function empty(): void
    {
        $this->shell('rm -rf card hand && mkdir card');
    }

    private function write(string $name, int $size): void
    {
        @mkdir(dirname("{$this->folder}/card/{$name}"), recursive: true);
        $file = fopen("{$this->folder}/card/{$name}", 'wb');
        // Random bytes take longer to make than to write: in a large file they come again, and no two files are alike.
        $bytes = $this->chance->getBytes(max(1, min(65_536, $size)));
        for ($left = $size; $left > 0 && $file !== false; $left -= min($left, strlen($bytes))) {
            fwrite($file, $bytes, max(0, $left));
        }
    }

    private function settle(): void
    {
        $this->shell('sync -f card');
        $this->forget('card');
    }

    private function forget(string $folder): void
    {
        $this->shell($this->forgetting($folder));
    }

    private function forgetting(string $folder): string
    {
        return "find {$folder} -type f -print0 | xargs -0 -n 1000 ".escapeshellarg(PHP_BINARY).' '.escapeshellarg(base_path('bin/forget'));
    }

    /**
     * @param  array<string, string>  $steps
     * @return array<string, float>
     */
    private function steps(array $steps): array
    {
        $this->forget('card');
        $took = [];
        foreach ($steps as $step => $command) {
            $start = hrtime(true);
            $this->shell($command);
            $took[$step] = (hrtime(true) - $start) / 1e9;
        }
        $this->shell('rm -rf hand');

        return $took;
    }

    private function shell(string $command): void
    {
        Process::fromShellCommandline($command, $this->folder, timeout: null)->mustRun();
    }

    private static function memory(?int $process): int
    {
        $said = $process === null ? '' : (string) @file_get_contents("/proc/{$process}/status");

        return preg_match('/^VmHWM:\s+(\d+) kB/m', $said, $found) === 1 ? 1024 * (int) $found[1] : 0;
    }
}
