<?php

declare(strict_types=1);

namespace Tools\Commands;

use Illuminate\Console\Command;
use InvalidArgumentException;
use RuntimeException;
use Tally\Device\FolderDevice;
use Tally\Device\HeldFolder;
use Tally\Device\HostCache;
use Tally\Device\HostClock;
use Tally\Device\Raw\Guard;
use Tally\Device\Raw\RawDevice;
use Tally\Pattern\TestPattern;
use Tally\Probe\EngineGauge;
use Tally\Quantity\Bytes;
use Tally\Reading\Summary;

/** The engine against the machine: alternating runs of dd and of the probes' own writing and checking. */
final class EngineBenchCommand extends Command
{
    protected $signature = 'bench:engine
        {--at=/tmp : Folder to measure in}
        {--size=1GiB : How much to write each time}
        {--raw : Through an image of a raw medium, and dd past the host’s cache where that can be}
        {--rounds=7 : How many rounds}
        {--json : Print the ratios as JSON}';

    protected $description = 'Compare writing and checking the pattern with dd, as median ratios (1 is as fast as dd)';

    private string $manner = '';

    private Bytes $beside;

    public function handle(): int
    {
        try {
            $at = $this->option('at');
            $size = $this->option('size');
            $at =
                is_string($at) && is_dir($at)
                    ? $at
                    : throw new InvalidArgumentException('--at: there is no folder “'.(is_string($at) ? $at : '').'”.');
            $size = Bytes::parse(is_string($size) ? $size : '');
            $size = Bytes::of(max(1, intdiv($size->count, TestPattern::BLOCK)) * TestPattern::BLOCK);
            $rounds = max(1, (int) $this->option('rounds'));
            $ratios = $speeds = ['write' => [], 'verify' => []];
            for ($round = 0; $round < $rounds; $round++) {
                // Disks drift: each round goes there and back again, and every other one begins with the engine.
                $order = $round % 2 === 0 ? ['dd', 'engine', 'engine', 'dd'] : ['engine', 'dd', 'dd', 'engine'];
                $sums = ['dd' => ['write' => 0.0, 'verify' => 0.0], 'engine' => ['write' => 0.0, 'verify' => 0.0]];
                foreach ($order as $who) {
                    $took = $who === 'dd' ? $this->dd($at, $size) : $this->engine($at, $size);
                    $sums[$who] = ['write' => $sums[$who]['write'] + $took['write'], 'verify' => $sums[$who]['verify'] + $took['verify']];
                }
                foreach ($sums['engine'] as $way => $seconds) {
                    $ratios[$way][] = $sums['dd'][$way] / $seconds;
                    $speeds[$way][] = 2 * $size->count / 1e9 / $seconds;
                }
                if ($this->option('json') !== true) {
                    $this->line(sprintf('round %d: %s', $round + 1, self::words(self::last($ratios), self::last($speeds))));
                }
            }
        } catch (RuntimeException|InvalidArgumentException $fault) {
            $this->error($fault->getMessage());

            return 2;
        }
        [$ratios, $speeds] = [array_map(self::median(...), $ratios), array_map(self::median(...), $speeds)];
        $most = Bytes::of(memory_get_peak_usage(true));
        $this->line(
            $this->option('json') === true
                ? json_encode([...$ratios, 'gigabytes_per_second' => $speeds], JSON_THROW_ON_ERROR)
                : sprintf('median of %d: %s on %s', $rounds, self::words($ratios, $speeds), $size->binary()).
                    "; most memory {$most->binary()}, and {$this->beside->binary()} with all of PHP in the process beside",
        );

        if ($this->manner !== '' && $this->option('json') !== true) {
            $this->line("The image was reached {$this->manner}.");
        }

        return self::SUCCESS;
    }

    /**
     * @param  array<string, list<float>>  $all
     * @return array<string, float>
     */
    private static function last(array $all): array
    {
        return array_map(fn (array $values): float => $values[count($values) - 1] ?? 0.0, $all);
    }

    /** @param  list<float>  $values */
    private static function median(array $values): float
    {
        return round(Summary::of($values)->median, 3);
    }

    /**
     * @param  array<string, float>  $ratios
     * @param  array<string, float>  $speeds  GB/s
     */
    private static function words(array $ratios, array $speeds): string
    {
        return sprintf(
            'write %.2f, verify %.2f of dd (%.2f and %.2f GB/s)',
            $ratios['write'],
            $ratios['verify'],
            $speeds['write'],
            $speeds['verify'],
        );
    }

    /** The most memory that the processes which this one began have held. */
    private static function beside(): Bytes
    {
        $held = 0;
        foreach ((array) glob('/proc/[0-9]*/status') as $path) {
            $told = (string) @file_get_contents((string) $path);
            $isOurs = preg_match('/^PPid:\s+'.getmypid().'$/m', $told) === 1;
            $held += $isOurs && preg_match('/^VmHWM:\s+(\d+) kB/m', $told, $most) === 1 ? 1024 * (int) $most[1] : 0;
        }

        return Bytes::of($held);
    }

    /** @return array{write: float, verify: float} seconds */
    private function dd(string $at, Bytes $size): array
    {
        $file = escapeshellarg($path = "{$at}/gritty-tally-bench-".getmypid());
        $count = intdiv($size->count, TestPattern::BLOCK);
        try {
            [$out, $in] = ['', ''];
            if ($this->option('raw') === true) {
                $this->lay($path, $size);
                exec("dd if=/dev/zero of={$file} bs=1M count=1 oflag=direct conv=notrunc 2>&1", $output, $code);
                [$out, $in] = $code === 0 ? [',notrunc oflag=direct', ' iflag=direct'] : [',notrunc', ''];
            }
            $write = $this->timed("dd if=/dev/zero of={$file} bs=1M count={$count} conv=fdatasync{$out}");
            HostCache::forget($path);
            $verify = $this->timed("dd if={$file} of=/dev/null bs=1M{$in}");
        } finally {
            @unlink($path);
        }

        return ['write' => $write, 'verify' => $verify];
    }

    private function lay(string $path, Bytes $size): void
    {
        $image = fopen($path, 'c');
        if ($image === false || ! ftruncate($image, max(0, $size->count))) {
            throw new RuntimeException("No image could be made at {$path}.");
        }
        fclose($image);
    }

    private function timed(string $command): float
    {
        $began = hrtime(true);
        exec("{$command} 2>&1", $output, $code);

        return $code === 0 ? (hrtime(true) - $began) / 1e9 : throw new RuntimeException(implode(' ', $output));
    }

    /** @return array{write: float, verify: float} seconds */
    private function engine(string $at, Bytes $size): array
    {
        $clock = new HostClock();
        $image = "{$at}/gritty-tally-bench-".getmypid();
        if ($this->option('raw') === true) {
            $this->lay($image, $size);
            $device = RawDevice::open($image, new Guard([]));
            $this->manner = $device->manner();
        } else {
            $device = FolderDevice::open(HeldFolder::at($at), $size);
        }
        try {
            $took = EngineGauge::on($device, $size, $clock);
            $this->beside = self::beside();

            return $took;
        } finally {
            $device->close();
            @unlink($image);
        }
    }
}
