<?php

declare(strict_types=1);

namespace Tally\Device\Fault;

use RuntimeException;

/** The medium itself is no longer there: pulled out, unmounted, renamed. */
final class MediumGone extends RuntimeException implements EndsRun
{
    public static function from(string $where): self
    {
        return new self("{$where} is gone: the card was pulled out or unmounted. Put it back and run again.");
    }

    public static function unmounted(string $where): self
    {
        return new self(
            "{$where} leads elsewhere than when the run began: its card was unmounted, or another was mounted there. The run was ".
            'ended, and nothing was written to the other one.',
        );
    }

    public static function turned(string $where): self
    {
        return new self(
            "{$where} leads to another medium than when the run began. The run was ended, and nothing was written to the other one.",
        );
    }
}
