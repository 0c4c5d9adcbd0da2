<?php

declare(strict_types=1);

namespace Tally\Transfer;

use Tally\Device\Clock;
use Tally\Device\Fault\CannotCopy;
use Tally\Device\Fault\CannotWrite;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\HeldFolder;
use Tally\Device\HostCache;
use Tally\Probe\Observing\Observer;
use Tally\Probe\Observing\ProgressSaver;
use Tally\Probe\Observing\Unobserved;
use Tally\Quantity\Bytes;
use Tally\Quantity\Span;

/**
 * A real folder of mixed files, copied into a new folder of its name and timed: a transfer to one place. Nothing of it is in the
 * host's memory when it begins, and each file is flushed before the next is begun, so that it is known what a file costs.
 */
final class TimedCopy
{
    /** @var list<array{int, float}> bytes and seconds of each file */
    private array $times = [];

    private function __construct(
        private readonly Source $source,
        private readonly Transfer $transfer,
        private readonly string $target,
        private readonly bool $readBack,
    ) {}

    /**
     * @param  string  $into  an existing folder; the copy becomes a folder in it, of the name of the source
     *
     * @throws UnusablePath|CannotWrite
     */
    public static function of(string $source, string $into, bool $readBack): self
    {
        $from = Source::at($source);
        $held = HeldFolder::at($into);
        $name = basename($from->path) === '' ? 'copy' : basename($from->path);
        if (str_starts_with("{$held->path}/", "{$from->path}/")) {
            throw CannotCopy::inside($into, $source);
        }
        if (file_exists($held->inside($name)) || is_link($held->inside($name))) {
            throw CannotCopy::taken("{$held->path}/{$name}");
        }

        // Pieces that one left which died are nothing to go on from where its files are gone.
        return new self($from, Transfer::of($from, [$into => $name], resume: true), "{$held->path}/{$name}", $readBack);
    }

    /** @param  ProgressSaver<TimedResult>|null  $saver */
    public function run(Clock $clock, Observer $observer = new Unobserved(), ?ProgressSaver $saver = null): TimedResult
    {
        $forgot = $this->source->forgetBelow();
        foreach ($this->source->files as $file) {
            HostCache::forget("{$this->source->path}/{$file->path}");
        }
        $began = $last = $clock->now();
        $each = function (int $bytes) use ($clock, $saver, $began, $forgot, &$last): void {
            $now = $clock->now();
            [$this->times[], $last] = [[$bytes, $now - $last], $now];
            $saver?->keep(fn (): TimedResult => $this->result($now - $began, null, $forgot, stopped: true));
        };
        $came = $this->transfer->run($clock, $observer, $this->readBack, $each);
        $this->transfer->leaveAsItIs();
        $copy = $came->copies[0];

        return $this->result(
            $came->copied,
            $came->readBack,
            $forgot && $copy->forgot,
            stopped: $came->stopped,
            cutShort: $came->cutShort ?? $copy->fault ?? $came->ofTheSource(),
            different: $came->ofTheCopies(),
        );
    }

    /**
     * @param  float  $copied  seconds
     * @param  float|null  $readBack  seconds
     * @param  list<string>  $different
     */
    private function result(
        float $copied,
        ?float $readBack,
        bool $forgot,
        bool $stopped,
        ?string $cutShort = null,
        array $different = [],
    ): TimedResult {
        return new TimedResult(
            count($this->times),
            Bytes::of(array_sum(array_column($this->times, 0))),
            Span::seconds($copied),
            $readBack === null ? null : Span::seconds($readBack),
            different: $different,
            skipped: array_map(FilePath::shown(...), $this->source->skipped),
            times: $this->times,
            target: $this->target,
            forgot: $forgot,
            stopped: $stopped,
            cutShort: $cutShort,
        );
    }
}
