<?php

declare(strict_types=1);

namespace App\Tables;

use Generator;
use XMLReader;

/**
 * Rows of the first sheet of an OpenDocument spreadsheet, read as a stream.
 *
 * Source: OASIS OpenDocument 1.3 part 3, 9.1 (tables; number-rows-repeated, number-columns-repeated).
 */
final readonly class OdsRows
{
    /** Bytes of a cell that are held: letters take four at the most. */
    private const MOST_TEXT = 4 * TableLimits::CELL + 4;

    /**
     * @return Generator<int, list<string>>
     *
     * @throws NotATable
     */
    public static function of(Package $package): Generator
    {
        $reader = $package->read('content.xml');
        $number = 0;
        [$cells, $repeated, $text, $times, $shown] = [[], 1, '', 1, null];
        $paragraphs = 0;
        $isRemark = false;
        while ($package->step($reader)) {
            $opens = $reader->nodeType === XMLReader::ELEMENT;
            $closes = $reader->nodeType === XMLReader::END_ELEMENT || ($opens && $reader->isEmptyElement);
            if ($reader->name === 'office:annotation') {
                $isRemark = $opens && ! $closes; // a remark beside the cell
            }
            if ($isRemark) {
                continue;
            }
            switch ($reader->name) {
                case 'table:table':
                    if ($closes) {
                        return;
                    }
                    break;
                case 'table:table-row':
                    if ($opens) {
                        [$cells, $repeated] = [[], self::count($reader, 'table:number-rows-repeated')];
                    }
                    if ($closes) {
                        if (trim(implode('', $cells)) === '') {
                            $number += $repeated; // sheets end in a million empty rows
                            break;
                        }
                        for ($i = 0; $i < $repeated; $i++) {
                            yield ++$number => self::withoutEnd($cells);
                        }
                    }
                    break;
                case 'table:table-cell':
                case 'table:covered-table-cell':
                    if ($opens) {
                        [$text, $paragraphs, $times] = ['', 0, self::count($reader, 'table:number-columns-repeated')];
                        $shown = match ($reader->getAttribute('office:value-type')) {
                            'date' => substr((string) $reader->getAttribute('office:date-value'), 0, 10),
                            'float' => $reader->getAttribute('office:value'),
                            default => null,
                        };
                    }
                    if ($closes) {
                        for ($i = 0; $i < $times && count($cells) <= TableLimits::COLUMNS; $i++) {
                            $cells[] = $shown ?? $text;
                        }
                    }
                    break;
                case 'text:p':
                    $text .= $opens && $paragraphs++ > 0 && strlen($text) <= self::MOST_TEXT ? "\n" : '';
                    break;
                case 'text:s':
                    // What is longer than a cell can be is found too long where it is used; it need not be held for that.
                    $text .=
                        $opens && strlen($text) <= self::MOST_TEXT
                            ? str_repeat(' ', min(self::count($reader, 'text:c'), TableLimits::CELL))
                            : '';
                    break;
                case 'text:tab':
                    $text .= $opens && strlen($text) <= self::MOST_TEXT ? "\t" : '';
                    break;
                default:
                    $text .=
                        strlen($text) <= self::MOST_TEXT &&
                        in_array($reader->nodeType, [XMLReader::TEXT, XMLReader::CDATA, XMLReader::SIGNIFICANT_WHITESPACE], true)
                            ? substr($reader->value, 0, self::MOST_TEXT)
                            : '';
            }
        }
    }

    private static function count(XMLReader $reader, string $attribute): int
    {
        return min(2_000_000, max(1, (int) $reader->getAttribute($attribute)));
    }

    /**
     * Without the empty cells at the end: sheets are a thousand columns wide.
     *
     * @param  list<string>  $cells
     * @return list<string>
     */
    private static function withoutEnd(array $cells): array
    {
        while ($cells !== [] && trim($cells[count($cells) - 1]) === '') {
            array_pop($cells);
        }

        return $cells;
    }
}
