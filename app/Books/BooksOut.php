<?php

declare(strict_types=1);

namespace App\Books;

use App\Tables\Neutral;
use App\Tables\SheetFile;
use App\Tables\SheetKind;
use App\Tables\TableWriter;
use App\Tables\TooManyCells;
use RuntimeException;
use ZipArchive;

/** Writes books out: one as a table, several as a workbook with a sheet each, a folder of tables in a ZIP, or one JSON document. */
final readonly class BooksOut
{
    public const FORMAT = 'gritty-tally-books';

    public const VERSION = 1;

    /**
     * @return string the ending of what was written
     *
     * @throws TooManyCells only of a spreadsheet
     */
    public static function write(string $path, BooksFormat $format, Pick $pick, string $madeAt): string
    {
        match ($format) {
            BooksFormat::Json => self::json($path, $pick, $madeAt),
            BooksFormat::Xlsx => SheetFile::writeAll(SheetKind::Xlsx, $path, self::sheets($pick)),
            BooksFormat::Ods => SheetFile::writeAll(SheetKind::Ods, $path, self::sheets($pick)),
            BooksFormat::Csv => count($pick->books) === 1
                ? TableWriter::Csv->write($path, self::table($pick->books[0], $pick))
                : self::zip($path, $pick),
        };

        return $format === BooksFormat::Csv && count($pick->books) > 1 ? 'zip' : $format->value;
    }

    /** @return iterable<string, iterable<list<string>>> title → rows */
    private static function sheets(Pick $pick): iterable
    {
        foreach ($pick->books as $book) {
            yield $book->value => (function () use ($book, $pick): iterable {
                foreach (self::table($book, $pick) as $row) {
                    yield array_map(Neutral::out(...), $row);
                }
            })();
        }
    }

    /** @return iterable<list<string>> the headings first */
    private static function table(Book $book, Pick $pick): iterable
    {
        yield $book->columns();
        foreach (BookRows::of($book, $pick) as $row) {
            yield array_map(
                fn (int|float|string|bool|null $value): string => is_bool($value) ? ($value ? 'yes' : 'no') : (string) $value,
                array_values($row),
            );
        }
    }

    private static function zip(string $path, Pick $pick): void
    {
        $zip = new ZipArchive();
        if ($zip->open($path, ZipArchive::CREATE | ZipArchive::OVERWRITE) !== true) {
            throw new RuntimeException("{$path} cannot be written.");
        }
        $parts = [];
        foreach ($pick->books as $book) {
            $part = "{$path}.{$book->value}";
            TableWriter::Csv->write($part, self::table($book, $pick));
            $zip->addFile($part, "{$book->value}.csv");
            $parts[] = $part;
        }
        $zip->close();
        array_map(unlink(...), $parts);
    }

    private static function json(string $path, Pick $pick, string $madeAt): void
    {
        $file = fopen($path, 'w');
        if ($file === false) {
            throw new RuntimeException("{$path} cannot be written.");
        }
        $flags = JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION;
        fwrite($file, json_encode(['format' => self::FORMAT, 'version' => self::VERSION, 'made_at' => $madeAt], $flags));
        // The brace that closes comes after all books.
        fseek($file, -1, SEEK_END);
        foreach ($pick->books as $book) {
            fwrite($file, ",\n\"{$book->value}\": [");
            $comma = '';
            foreach (BookRows::of($book, $pick) as $row) {
                fwrite($file, "{$comma}\n".json_encode($row, $flags));
                $comma = ',';
            }
            fwrite($file, ']');
        }
        fwrite($file, "\n}\n");
        fclose($file);
    }
}
