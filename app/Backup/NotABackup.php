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

    public static function newer(int $unknown): self
    {
        return new self(
            "The backup is of a later version of the program: {$unknown} changes of its books are not known here. Bring this one up to ".
            'date first (docs/upgrading.md). Nothing was replaced.',
        );
    }

    /**
     * @param  list<string>  $missing
     * @param  list<string>  $more
     */
    public static function otherTables(array $missing, array $more): self
    {
        $words = [
            ...array_map(fn (string $table): string => "“{$table}” is missing", $missing),
            ...array_map(fn (string $table): string => "“{$table}” is not one of its tables", $more),
        ];

        return new self('The backup is not whole: '.implode(', ', array_slice($words, 0, 5)).'. Nothing was replaced.');
    }

    /** @param  int  $number  from 1; 0 for the table itself */
    public static function row(string $table, int $number, ?string $column, string $why): self
    {
        return new self(
            "Table “{$table}”".
            ($number === 0 ? '' : ", row {$number}").
            ($column === null ? '' : ", column “{$column}”").
            ": {$why} Nothing was replaced.",
        );
    }

    public static function nobody(): self
    {
        return new self('Nobody in the backup could sign in and manage people: it has no lead. Nothing was replaced.');
    }

    public static function mayNotMakeRoom(string $name): self
    {
        return new self(
            "The books are brought up to date in a database of their own first, and this account may not make “{$name}”. Restore on the ".
            'machine that has the books. Nothing was replaced.',
        );
    }

    public static function busy(int $runs): self
    {
        return new self("{$runs} runs or offloads are going. Let them end, or stop them, before the books are replaced.");
    }
}
