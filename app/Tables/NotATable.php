<?php

declare(strict_types=1);

namespace App\Tables;

use RuntimeException;
use Tally\Quantity\Bytes;
use Throwable;

/** What was sent is no table that can be read; the message says what would be. */
final class NotATable extends RuntimeException
{
    public static function tooLarge(string $name, int $bytes, int $most): self
    {
        return new self(
            "“{$name}” is ".
                Bytes::of($bytes)->decimal().
                '; a table may be '.
                Bytes::of($most)->decimal().
                ' at most. Send a part of it.',
        );
    }

    public static function unpacksHuge(string $name, int $most): self
    {
        return new self(
            "“{$name}” unpacks to more than ".Bytes::of($most)->decimal().' and was not read on. Save the cards alone as CSV.',
        );
    }

    public static function otherKind(string $name): self
    {
        return new self("“{$name}” is neither text nor a spreadsheet, whatever its name says. Send CSV, XLSX or ODS.");
    }

    public static function broken(string $name, ?Throwable $cause = null): self
    {
        return new self("“{$name}” begins like a spreadsheet but cannot be read to its end. Save it again, or as CSV.", previous: $cause);
    }

    public static function declares(string $name): self
    {
        return new self("“{$name}” carries document type declarations, which no spreadsheet program writes. Save it again, or as CSV.");
    }

    public static function empty(string $name): self
    {
        return new self("“{$name}” has no rows below its headings. The first row names the columns, each row after it is a card.");
    }

    public static function tooManyRows(string $name, int $most): self
    {
        return new self("“{$name}” has more than ".number_format($most, 0, '.', "\u{202F}").' rows. Send it in parts.');
    }

    public static function tooManyCells(string $name, int $most): self
    {
        return new self(
            "“{$name}” has more than ".number_format($most, 0, '.', "\u{202F}").' filled cells. Save it as CSV, or send it in parts.',
        );
    }

    public static function tooMuchText(string $name, int $most): self
    {
        return new self(
            "“{$name}” has more than ".number_format($most, 0, '.', "\u{202F}").' characters in its cells. Save the cards alone as CSV.',
        );
    }

    public static function tooWide(string $name, int $most): self
    {
        return new self("“{$name}” has more than {$most} columns. Send the columns of the cards alone.");
    }

    public static function tooLong(string $name, int $seconds): self
    {
        return new self("“{$name}” could not be read within {$seconds} s and was left. Save the cards alone as CSV, or send it in parts.");
    }

    public static function tooMuch(string $name): self
    {
        return new self("“{$name}” takes more to read than a table of cards does, and was left. Save the cards alone as CSV.");
    }

    /** As the process that reads has said it. */
    public static function said(string $sentence): self
    {
        return new self($sentence);
    }

    public static function unreadable(string $name): self
    {
        return new self("“{$name}” did not arrive whole. Send it again.");
    }
}
