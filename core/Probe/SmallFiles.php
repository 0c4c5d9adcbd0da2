<?php

declare(strict_types=1);

namespace Tally\Probe;

use InvalidArgumentException;
use Tally\Device\Clock;
use Tally\Device\Fault\CannotRead;
use Tally\Device\Fault\DeviceFault;
use Tally\Device\Files\FileStore;
use Tally\Pattern\Appraiser;
use Tally\Pattern\BlockClass;
use Tally\Pattern\TestPattern;
use Tally\Probe\Observing\Observer;
use Tally\Probe\Observing\Pacemaker;
use Tally\Probe\Observing\Phase;
use Tally\Probe\Observing\ProgressSaver;
use Tally\Probe\Observing\Unobserved;
use Tally\Quantity\Bytes;
use Tally\Quantity\Span;
use Tally\Reading\Copy\SmallFilesResult;
use Tally\Reading\Copy\SmallFilesRound;

/**
 * The same bytes once as many small files and once as one large file, several rounds: the difference is what files cost,
 * besides what their bytes cost. Each file is on the medium before the next begins.
 */
final class SmallFiles
{
    public const FILES = 200;

    public const ROUNDS = 3;

    /** 128 KiB: a preview or a sidecar. */
    public const EACH = 131_072;

    private bool $forgot = true;

    private int $wrong = 0;

    /** @throws InvalidArgumentException */
    public function __construct(
        private readonly int $files = self::FILES,
        private readonly int $rounds = self::ROUNDS,
        private readonly int $each = self::EACH,
    ) {
        if (
            $files < 2 ||
            $files > 10_000 ||
            $rounds < 1 ||
            $rounds > SpeedPlan::MOST_RUNS ||
            $each < 512 ||
            $each > TestPattern::BLOCK ||
            $each % 512 !== 0
        ) {
            throw new InvalidArgumentException(
                "Small files are 2 to 10000, of 512 B to 1 MiB in whole sectors, in 1 to 50 rounds; {$files}, {$each} B ".
                    "and {$rounds} were given.",
            );
        }
    }

    /** @param  ProgressSaver<SmallFilesResult>|null  $saver */
    public function on(
        FileStore $store,
        Clock $clock,
        Observer $observer = new Unobserved(),
        ?ProgressSaver $saver = null,
    ): SmallFilesResult {
        $beat = new Pacemaker($clock, $observer, 4 * $this->files * $this->each * $this->rounds);
        [$rounds, $stopped, $cutShort] = [[], false, null];
        try {
            for ($round = 1; $round <= $this->rounds && ! $stopped; $round++) {
                $one = $this->round($store, $clock, $beat, $round);
                $stopped = $one === null;
                if ($one !== null) {
                    $rounds[] = $one;
                    $saver?->keep(fn (): SmallFilesResult => $this->result($rounds, true, null));
                }
            }
        } catch (DeviceFault $fault) {
            [$stopped, $cutShort] = [true, $fault->getMessage()];
        }

        return $this->result($rounds, $stopped, $cutShort);
    }

    /** @param  list<SmallFilesRound>  $rounds */
    private function result(array $rounds, bool $stopped, ?string $cutShort): SmallFilesResult
    {
        return new SmallFilesResult(
            $this->files,
            Bytes::of($this->each),
            $rounds,
            $this->forgot,
            wrong: $this->wrong,
            stopped: $stopped,
            cutShort: $cutShort,
        );
    }

    /** @throws DeviceFault */
    private function round(FileStore $store, Clock $clock, Pacemaker $beat, int $round): ?SmallFilesRound
    {
        $whole = $this->files * $this->each;
        $imprint = TestPattern::random(Bytes::of($whole));
        $took = [];
        // The large file goes by the number after the small ones.
        foreach (
            [
                [Phase::Writing, range(0, $this->files - 1), $this->each],
                [Phase::Writing, [$this->files], $whole],
                [Phase::Reading, range(0, $this->files - 1), $this->each],
                [Phase::Reading, [$this->files], $whole],
            ] as [$phase, $numbers, $length]
        ) {
            if ($phase === Phase::Reading) {
                $this->forgot = $store->forget() && $this->forgot;
            }
            $seconds = 0.0;
            foreach ($numbers as $i => $number) {
                if ($beat->wantsStop()) {
                    return null;
                }
                $seconds +=
                    $phase === Phase::Writing
                        ? $this->put($store, $clock, $imprint, $number, at: $i * $length, length: $length)
                        : $this->get($store, $clock, $imprint, $number, at: $i * $length, length: $length);
                $beat->beat($phase, $round, ($i + 1) * $length, $whole, moved: $length);
            }
            $took[] = Span::seconds($seconds);
        }

        return new SmallFilesRound(...$took);
    }

    /** @throws DeviceFault */
    private function put(FileStore $store, Clock $clock, TestPattern $imprint, int $number, int $at, int $length): float
    {
        $began = $clock->now();
        $store->put($number, $imprint->stretch($at, $length));

        return $clock->now() - $began;
    }

    /** @throws DeviceFault */
    private function get(FileStore $store, Clock $clock, TestPattern $imprint, int $number, int $at, int $length): float
    {
        $began = $clock->now();
        try {
            $data = $store->get($number, $length);
        } catch (CannotRead) {
            $this->wrong += $length;

            return $clock->now() - $began;
        }
        $took = $clock->now() - $began;
        foreach ((new Appraiser($imprint))->appraise($data, $at) as $patch) {
            $this->wrong += $patch->class === BlockClass::Holds ? 0 : $patch->length;
        }

        return $took;
    }
}
