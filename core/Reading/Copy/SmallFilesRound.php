<?php

declare(strict_types=1);

namespace Tally\Reading\Copy;

use Tally\Quantity\Span;
use Tally\Value\Row;

/** Many small files and one large file of the same bytes, each written and read once: how long that took. */
#[Row]
final readonly class SmallFilesRound
{
    public function __construct(
        public Span $manyWritten,
        public Span $oneWritten,
        public Span $manyRead,
        public Span $oneRead,
    ) {}
}
