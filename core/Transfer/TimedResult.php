<?php

declare(strict_types=1);

namespace Tally\Transfer;

use Tally\Quantity\Bytes;
use Tally\Quantity\Span;

/** What a timed copy came to. Only whole files count: one that was cut off has been taken away again. */
final readonly class TimedResult
{
    /**
     * @param  Bytes  $bytes  of the whole files
     * @param  Span  $copied  until the last of them was on the drive
     * @param  Span|null  $verified  from the start until all were read back; null when that was not asked for or not reached
     * @param  list<string>  $different  files that did not read back as they were
     * @param  list<string>  $skipped  links and what is no file
     * @param  list<array{int, float}>  $times  bytes and seconds of each file
     * @param  string  $target  the folder that holds the copy
     * @param  string|null  $cutShort  a sentence, when a fault ended it
     */
    public function __construct(
        public int $files,
        public Bytes $bytes,
        public Span $copied,
        public ?Span $verified,
        public array $different,
        public array $skipped,
        public array $times,
        public string $target,
        public bool $forgot,
        public bool $stopped,
        public ?string $cutShort = null,
    ) {}
}
