<?php

declare(strict_types=1);

namespace App\SecondOpinion;

use RuntimeException;

/** A file that cannot be judged; the message is a sentence for whoever gave it. */
final class NotAnOpinion extends RuntimeException
{
    public static function because(string $why): self
    {
        return new self("This file cannot be judged: {$why}");
    }
}
