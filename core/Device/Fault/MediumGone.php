<?php

declare(strict_types=1);

namespace Tally\Device\Fault;

use RuntimeException;

/** The medium itself is no longer there: pulled out, unmounted, renamed. */
final class MediumGone extends RuntimeException implements DeviceFault
{
    public static function from(string $where): self
    {
        return new self("{$where} is gone: the card was pulled out or unmounted. Put it back and run again.");
    }

    public static function turned(string $where): self
    {
        return new self("{$where} leads to another medium than when the run began. The run was ended, and nothing was written to the other one.");
    }
}
