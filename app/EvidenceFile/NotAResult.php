<?php

declare(strict_types=1);

namespace App\EvidenceFile;

use RuntimeException;

/** A file that is not a result of ours, or no longer what it was; the message is a sentence for whoever gave it. */
final class NotAResult extends RuntimeException
{
    public static function because(string $why): self
    {
        return new self("This result file cannot be used: {$why}");
    }
}
