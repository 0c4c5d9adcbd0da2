<?php

declare(strict_types=1);

namespace Tally\Reading\Copy;

use Tally\Quantity\Bytes;

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
        public int $files,
        public Bytes $each,
        public array $rounds,
        public bool $forgot,
        public int $wrong,
        public bool $stopped,
        public ?string $cutShort = null,
    ) {}
}
