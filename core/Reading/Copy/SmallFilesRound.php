<?php

declare(strict_types=1);

namespace Tally\Reading\Copy;

use Tally\Quantity\Passage;

/** Many small files and one large file of the same bytes, each written and read once. */
final readonly class SmallFilesRound
{
    public function __construct(
        public Passage $manyWritten,
        public Passage $oneWritten,
        public Passage $manyRead,
        public Passage $oneRead,
    ) {}
}
