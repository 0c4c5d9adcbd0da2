<?php

declare(strict_types=1);

namespace App\Tables;

use RuntimeException;

/** A table that is to be written is more than a spreadsheet here may hold; text has no such limit. */
final class TooManyCells extends RuntimeException
{
    public function __construct(int $most)
    {
        parent::__construct(
            'A spreadsheet written here holds '.number_format($most, 0, '.', "\u{202F}").' cells at most, and these rows need more. '.
            'Take them as CSV, which any spreadsheet program opens.',
        );
    }
}
