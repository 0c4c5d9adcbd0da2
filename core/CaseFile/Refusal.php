<?php

declare(strict_types=1);

namespace Tally\CaseFile;

use Tally\Quantity\Bytes;
use Tally\Value\Row;
use Tally\Value\WrongField;

/** What was refused with errors, and from where on. */
#[Row]
final readonly class Refusal
{
    /** @throws WrongField */
    public function __construct(string $way, public Bytes $at)
    {
        if (! in_array($way, ['write', 'read'], true)) {
            throw new WrongField('0', '“write” or “read” would do, and from where on, such as ["write", "60 GB"].');
        }
    }
}
