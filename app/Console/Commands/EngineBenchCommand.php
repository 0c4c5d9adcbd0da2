<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use InvalidArgumentException;
use RuntimeException;
use Tally\Device\FolderDevice;
use Tally\Device\HeldFolder;
use Tally\Device\HostCache;
use Tally\Device\HostClock;
use Tally\Device\Raw\Guard;
use Tally\Device\Raw\RawDevice;
use Tally\Pattern\Imprint;
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
            $size = Bytes::of(max(1, intdiv($size->count, Imprint::BLOCK)) * Imprint::BLOCK);
            $rounds = max(1, (int) $this->option('rounds'));
            $ratios = ['write' => [], 'verify' => []];
            for ($round = 0; $round < $rounds; $round++) {
                // Disks drift: each round goes there and back again, and every other one begins with the engine.
                $order = $round % 2 === 0 ? ['dd', 'engine', 'engine', 'dd'] : ['engine', 'dd', 'dd', 'engine'];
                $sums = ['dd' => ['write' => 0.0, 'verify' => 0.0], 'engine' => ['write' => 0.0, 'verify' => 0.0]];
                foreach ($order as $who) {
                    $took = $who === 'dd' ? $this->dd($at, $size) : $this->engine($at, $size);
                    $sums[$who] = ['write' => $sums[$who]['write'] + $took['write'], 'verify' => $sums[$who]['verify'] + $took['verify']];
                }
                ['dd' => $dd, 'engine' => $engine] = $sums;
                $ratios['write'][] = $dd['write'] / $engine['write'];
                $ratios['verify'][] = $dd['verify'] / $engine['verify'];
                if ($this->option('json') !== true) {
                    $this->line(
                        sprintf(
                            'round %d: write %.2f, verify %.2f of dd',
                            $round + 1,
                            $dd['write'] / $engine['write'],
                            $dd['verify'] / $engine['verify'],
                        ),
                    );
                }
            }
        } catch (RuntimeException|InvalidArgumentException $fault) {
            $this->error($fault->getMessage());

            return 2;
        }
        $medians = array_map(fn (array $values): float => round(Summary::of($values)->median, 3), $ratios);
        $this->line(
            $this->option('json') === true
                ? json_encode($medians, JSON_THROW_ON_ERROR)
                : sprintf(
                    'median of %d: write %.2f, verify %.2f of dd on %s; most memory %s',
                    $rounds,
                    $medians['write'],
                    $medians['verify'],
                    $size->binary(),
                    Bytes::of(memory_get_peak_usage(true))->binary(),
                ),
        );

        if ($this->manner !== '' && $this->option('json') !== true) {
            $this->line("The image was reached {$this->manner}.");
        }

        return self::SUCCESS;
    }

    /** @return array{write: float, verify: float} seconds */
    private function dd(string $at, Bytes $size): array
    {
        $file = escapeshellarg($path = "{$at}/gritty-tally-bench-".getmypid());
        $count = intdiv($size->count, Imprint::BLOCK);
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
            return EngineGauge::on($device, $size, $clock);
        } finally {
            $device->close();
            @unlink($image);
        }
    }
}
