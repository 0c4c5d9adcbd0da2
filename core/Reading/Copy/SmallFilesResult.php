<?php

declare(strict_types=1);

namespace Tally\Reading\Copy;

use Tally\Quantity\Bytes;
use Tally\Quantity\Passage;
use Tally\Quantity\Span;

/** What small files cost. Only whole rounds count. */
final readonly class SmallFilesResult
{
    /**
     * @param  list<SmallFilesRound>  $rounds
     * @param  bool  $forgot  whether the host was made to forget before each reading
     * @param  int  $wrong  bytes that did not come back as written
     * @param  string|null  $cutShort  a sentence, when a fault ended it
     */
    public function __construct(
        public int $files = 0,
        public Bytes $each = new Bytes(0),
        public array $rounds = [],
        public bool $forgot = false,
        public int $wrong = 0,
        public bool $stopped = false,
        public ?string $cutShort = null,
    ) {}

    /** How much went through each time, as many files and as one. */
    public function moved(Span $span): Passage
    {
        return new Passage(Bytes::of($this->files * $this->each->count), $span);
    }
}
