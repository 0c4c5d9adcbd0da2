<?php

declare(strict_types=1);

namespace App\Tables;

/** Characters that XML 1.0 cannot carry at all are left out. Source: XML 1.0, production 2 (Char). */
final readonly class PlainXml
{
    public static function text(string $text): string
    {
        return (string) preg_replace('/[^\x{9}\x{A}\x{D}\x{20}-\x{D7FF}\x{E000}-\x{FFFD}\x{10000}-\x{10FFFF}]/u', '', $text);
    }
}
