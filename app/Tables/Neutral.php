<?php

declare(strict_types=1);

namespace App\Tables;

/**
 * Text that a spreadsheet would take for a formula gets an apostrophe before it on the way out, and loses it on the way in.
 *
 * Source: OWASP, CSV Injection (characters = + - @, tab, carriage return, and their full-width forms).
 */
final readonly class Neutral
{
    private const BEGINS = "[=+\\-@\\t\\r\u{FF1D}\u{FF0B}\u{FF0D}\u{FF20}]";

    public static function out(string $text): string
    {
        return preg_match("/^'*".self::BEGINS.'/u', $text) === 1 ? "'{$text}" : $text;
    }

    public static function in(string $text): string
    {
        return preg_match("/^'+".self::BEGINS.'/u', $text) === 1 ? substr($text, 1) : $text;
    }
}
