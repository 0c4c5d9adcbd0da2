<?php

declare(strict_types=1);

namespace App\Backup;

use RuntimeException;

/** A file that is no whole backup of this house; the message says what is wrong with it. Nothing was replaced. */
final class NotABackup extends RuntimeException
{
    public static function unreadable(string $path): self
    {
        return new self("“{$path}” is no file that can be read. Give one that tally:backup wrote.");
    }

    public static function otherKind(string $path): self
    {
        return new self("“{$path}” is no backup of Gritty Tally: it has no manifest of one.");
    }

    public static function damaged(string $part): self
    {
        return new self("The backup is damaged: “{$part}” is not as it was written. Nothing was replaced; try another copy of it.");
    }

    public static function otherBooks(int $missing, int $more): self
    {
        return new self(
            "The backup is of another version of the program: {$missing} changes of its books are not known here, and {$more} of ours ".
            'not there. Restore it with the version it was made with, and bring that up to date then. Nothing was replaced.',
        );
    }

    public static function busy(int $runs): self
    {
        return new self("{$runs} runs or offloads are going. Let them end, or stop them, before the books are replaced.");
    }
}
