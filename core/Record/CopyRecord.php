<?php

declare(strict_types=1);

namespace Tally\Record;

use Tally\Quantity\Bytes;
use Tally\Quantity\Span;
use Tally\Reading\Copy\CopyReading;
use Tally\Reading\Copy\FileOverhead;
use Tally\Reading\Copy\Lap;
use Tally\Transfer\TimedResult;

/** What is kept of a timed copy. */
final readonly class CopyRecord implements Result
{
    /** More names than this help nobody; how many there are is kept. */
    private const NAMES = 50;

    /**
     * @param  array<string, float>  $laps  seconds from the start, by the name of the lap
     * @param  list<string>  $different  files that did not read back as they were
     * @param  string|null  $overhead  what a file cost, in words
     * @param  string|null  $target  the folder that holds the copy
     */
    public function __construct(
        public Bytes $bytes = new Bytes(0),
        public ?int $files = null,
        public array $laps = [],
        public int $differing = 0,
        public array $different = [],
        public int $skipped = 0,
        public ?string $overhead = null,
        public ?string $target = null,
        public bool $forgot = true,
    ) {}

    public static function of(TimedResult $result): self
    {
        $laps = [Lap::Copied->value => $result->copied->seconds, Lap::Verified->value => $result->verified?->seconds];

        return new self(
            $result->bytes,
            $result->files,
            array_filter($laps, fn (?float $seconds): bool => $seconds !== null),
            count($result->different),
            different: array_slice($result->different, 0, self::NAMES),
            skipped: count($result->skipped),
            overhead: FileOverhead::of($result->times)?->words(),
            target: $result->target,
            forgot: $result->forgot,
        );
    }

    /** By stopwatch. */
    public static function timed(CopyReading $copy): self
    {
        return new self($copy->bytes, $copy->files, array_map(fn (Span $span): float => $span->seconds, $copy->laps));
    }

    /** Null when no whole file was copied. */
    public function reading(): ?CopyReading
    {
        $laps = array_filter($this->laps, fn (float $seconds): bool => $seconds > 0);

        return $this->bytes->isZero() || $laps === []
            ? null
            : CopyReading::of($this->bytes, $this->files, array_map(Span::seconds(...), $laps));
    }
}
