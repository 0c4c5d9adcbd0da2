<?php

declare(strict_types=1);

namespace App\Tables;

use Generator;

/** Rows of separated text: comma, semicolon or tab, in UTF-8, UTF-16 with its mark, or Windows-1252. */
final readonly class CsvRows
{
    /**
     * @return Generator<int, list<string>>
     *
     * @throws NotATable
     */
    public static function of(string $path, string $name): Generator
    {
        $text = self::text((string) file_get_contents($path), $name);
        $stream = fopen('php://temp', 'w+');
        if ($stream === false) {
            throw NotATable::unreadable($name);
        }
        fwrite($stream, $text);
        rewind($stream);
        $separator = self::separator($text);
        $number = 0;
        while (($cells = fgetcsv($stream, null, $separator, '"', '')) !== false) {
            $number++;
            $cells = array_map(strval(...), $cells);
            if (trim(implode('', $cells)) !== '') {
                yield $number => $cells;
            }
        }
        fclose($stream);
    }

    private static function text(string $bytes, string $name): string
    {
        $text = match (true) {
            str_starts_with($bytes, "\xEF\xBB\xBF") => substr($bytes, 3),
            str_starts_with($bytes, "\xFF\xFE") => mb_convert_encoding(substr($bytes, 2), 'UTF-8', 'UTF-16LE'),
            str_starts_with($bytes, "\xFE\xFF") => mb_convert_encoding(substr($bytes, 2), 'UTF-8', 'UTF-16BE'),
            mb_check_encoding($bytes, 'UTF-8') => $bytes,
            default => mb_convert_encoding($bytes, 'UTF-8', 'Windows-1252'),
        };
        // Text has no such characters; pictures and programs are full of them.
        if (preg_match('/[\x00-\x08\x0E-\x1F]/', substr($text, 0, 65536)) === 1) {
            throw NotATable::otherKind($name);
        }

        return $text;
    }

    /** The mark that stands most often in the headings, outside of quotes. */
    private static function separator(string $text): string
    {
        $headings = (string) preg_replace('/"[^"]*"/', '', (string) strtok($text, "\r\n"));
        $counts = ['	' => substr_count($headings, "\t"), ';' => substr_count($headings, ';'), ',' => substr_count($headings, ',')];
        arsort($counts);

        return array_key_first($counts);
    }
}
