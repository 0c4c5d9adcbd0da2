<?php

declare(strict_types=1);

namespace App\Tables;

use XMLReader;
use ZipArchive;

/**
 * The packed file that a spreadsheet is, gone through once before a library that holds all of it in memory reads it: a
 * small file can stand for more than the machine holds, and what it says of its own sizes need not be true.
 */
final readonly class Package
{
    private const MOST_ENTRIES = 1000;

    /** Source: OASIS OpenDocument 1.3 part 3, 19.675–19.679 (repeated columns and rows), 19.763 (repeated spaces). */
    private const TABLE = 'urn:oasis:names:tc:opendocument:xmlns:table:1.0';

    private const TEXT = 'urn:oasis:names:tc:opendocument:xmlns:text:1.0';

    /**
     * Whether the file can be read safely, and as what.
     *
     * @param  string  $name  as its owner calls it, for sentences
     *
     * @throws NotATable it is too much, is broken, or is no spreadsheet
     */
    public static function checked(string $path, string $name): SheetKind
    {
        [$entries, $documents] = self::unpacked($path, $name);
        $kind = SheetKind::of($entries) ?? throw NotATable::otherKind($name);
        $marks = 0;
        $shared = new SharedText();
        foreach ($documents as $entry) {
            $marks += self::readThrough($path, $entry, $name, TableLimits::MARKS - $marks, shared: $shared);
        }
        if ($shared->characters() > TableLimits::TEXT) {
            throw NotATable::tooMuchText($name, TableLimits::TEXT);
        }

        return $kind;
    }

    /**
     * Whatever a part is called, it is a document where it begins like one: which of them is a sheet is told by another part.
     *
     * @return array{list<string>, list<string>} names of what is in it, all of which was unpacked once and counted; which are documents
     */
    private static function unpacked(string $path, string $name): array
    {
        $zip = new ZipArchive();
        if ($zip->open($path, ZipArchive::RDONLY) !== true) {
            throw NotATable::broken($name);
        }
        if ($zip->numFiles > self::MOST_ENTRIES) {
            throw NotATable::unpacksHuge($name, TableLimits::UNPACKED);
        }
        $entries = $documents = [];
        $unpacked = 0;
        for ($i = 0; $i < $zip->numFiles; $i++) {
            $entries[] = $entry = (string) $zip->getNameIndex($i);
            $stream = $zip->getStreamIndex($i);
            if ($stream === false) {
                throw NotATable::broken($name);
            }
            for ($isFirst = true; ! feof($stream); $isFirst = false) {
                $piece = fread($stream, 1 << 16);
                if ($piece === false) {
                    throw NotATable::broken($name);
                }
                if ($isFirst && preg_match('/^(?:\xEF\xBB\xBF)?\s*<|^\xFF\xFE|^\xFE\xFF|^\x00\x00?\x00?<|^<\x00/', $piece) === 1) {
                    $documents[] = $entry;
                }
                $unpacked += strlen($piece);
                if ($unpacked > TableLimits::UNPACKED) {
                    throw NotATable::unpacksHuge($name, TableLimits::UNPACKED);
                }
            }
            fclose($stream);
        }
        $zip->close();

        return [$entries, $documents];
    }

    /**
     * A document that is whole, declares nothing and stands for no more than it holds. The library would take a half one
     * for an empty one.
     *
     * @return int elements and attributes in it
     */
    private static function readThrough(string $path, string $entry, string $name, int $most, SharedText $shared): int
    {
        $reader = new XMLReader();
        if (! $reader->open("zip://{$path}#{$entry}", null, LIBXML_NONET | LIBXML_COMPACT | LIBXML_NOERROR | LIBXML_NOWARNING)) {
            throw NotATable::broken($name);
        }
        [$marks, $cells, $rows, $spaces] = [0, 0, 1, 0];
        libxml_clear_errors();
        while (@$reader->read()) {
            $shared->read($reader);
            if ($reader->nodeType === XMLReader::DOC_TYPE) {
                throw NotATable::declares($name);
            }
            if ($reader->nodeType !== XMLReader::ELEMENT) {
                continue;
            }
            $marks += 1 + $reader->attributeCount;
            if ($reader->namespaceURI === self::TABLE && $reader->localName === 'table-row') {
                $rows = self::times($reader, 'number-rows-repeated', self::TABLE);
            } elseif ($reader->namespaceURI === self::TABLE && ! $reader->isEmptyElement) {
                $isCell = $reader->localName === 'table-cell';
                $cells += $isCell ? $rows * self::times($reader, 'number-columns-repeated', self::TABLE) : 0;
            } elseif ($reader->namespaceURI === self::TEXT && $reader->localName === 's') {
                $spaces += self::times($reader, 'c', self::TEXT);
            }
            if ($marks > $most || $spaces > TableLimits::BYTES) {
                throw NotATable::unpacksHuge($name, TableLimits::UNPACKED);
            }
            if ($cells > TableLimits::CELLS) {
                throw NotATable::tooManyCells($name, TableLimits::CELLS);
            }
        }
        $reader->close();
        if (libxml_get_last_error() !== false) {
            libxml_clear_errors();
            throw NotATable::broken($name);
        }

        return $marks;
    }

    private static function times(XMLReader $reader, string $attribute, string $space): int
    {
        return min(2_000_000, max(1, (int) $reader->getAttributeNs($attribute, $space)));
    }
}
