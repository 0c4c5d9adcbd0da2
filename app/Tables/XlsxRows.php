<?php

declare(strict_types=1);

namespace App\Tables;

use DateTimeImmutable;
use Generator;
use XMLReader;

/**
 * Rows of the first sheet of an Office Open XML workbook, read as a stream.
 *
 * Source: ECMA-376 part 1, SpreadsheetML (18.3 worksheets, 18.4 shared strings, 18.8.30 number formats).
 */
final class XlsxRows
{
    /** Text that is used again and again is kept once for all cells; more than this is no list of cards. */
    private const MOST_SHARED = 32_000_000;

    /** @var list<string> */
    private array $shared = [];

    /** @var array<int, true> numbers of cell styles that show dates */
    private array $dates = [];

    private bool $since1904 = false;

    private function __construct(private readonly Package $package) {}

    /**
     * @return Generator<int, list<string>>
     *
     * @throws NotATable
     */
    public static function of(Package $package): Generator
    {
        $rows = new self($package);
        $sheet = $rows->firstSheet();
        $rows->sharedStrings();
        $rows->dateStyles();

        return $rows->sheet($sheet);
    }

    private function firstSheet(): string
    {
        $reader = $this->package->read('xl/workbook.xml');
        $id = null;
        while ($id === null && $this->package->step($reader)) {
            if ($reader->nodeType !== XMLReader::ELEMENT) {
                continue;
            }
            if ($reader->localName === 'workbookPr') {
                $this->since1904 = in_array($reader->getAttribute('date1904'), ['1', 'true'], true);
            } elseif ($reader->localName === 'sheet') {
                $id =
                    $reader->getAttributeNs('id', 'http://schemas.openxmlformats.org/officeDocument/2006/relationships') ??
                    ($reader->getAttribute('r:id') ?? '');
            }
        }
        $reader->close();
        $target = $this->target($id ?? '') ?? 'worksheets/sheet1.xml';

        return str_starts_with($target, '/') ? ltrim($target, '/') : "xl/{$target}";
    }

    private function target(string $id): ?string
    {
        if (! $this->package->has('xl/_rels/workbook.xml.rels')) {
            return null;
        }
        $reader = $this->package->read('xl/_rels/workbook.xml.rels');
        while ($this->package->step($reader)) {
            if ($reader->nodeType === XMLReader::ELEMENT && $reader->localName === 'Relationship' && $reader->getAttribute('Id') === $id) {
                return $reader->getAttribute('Target');
            }
        }

        return null;
    }

    private function sharedStrings(): void
    {
        if (! $this->package->has('xl/sharedStrings.xml')) {
            return;
        }
        $reader = $this->package->read('xl/sharedStrings.xml');
        $bytes = 0;
        $text = null;
        [$counts, $spoken] = [false, false];
        while ($this->package->step($reader)) {
            if ($reader->localName === 'rPh') {
                $spoken = $reader->nodeType === XMLReader::ELEMENT && ! $reader->isEmptyElement; // how a word is spoken, not the word
            } elseif ($reader->localName === 'si') {
                if ($reader->nodeType === XMLReader::ELEMENT) {
                    $text = '';
                }
                if ($text !== null && ($reader->nodeType === XMLReader::END_ELEMENT || $reader->isEmptyElement)) {
                    $this->shared[] = $text;
                    $text = null;
                }
            } elseif ($reader->localName === 't') {
                $counts = $reader->nodeType === XMLReader::ELEMENT && ! $reader->isEmptyElement;
            } elseif ($counts && ! $spoken && $text !== null && $this->isText($reader)) {
                $text .= $reader->value;
                $bytes += strlen($reader->value);
                if ($bytes > self::MOST_SHARED) {
                    throw NotATable::unpacksHuge($this->package->name, self::MOST_SHARED);
                }
            }
        }
        $reader->close();
    }

    private function dateStyles(): void
    {
        if (! $this->package->has('xl/styles.xml')) {
            return;
        }
        $reader = $this->package->read('xl/styles.xml');
        $formats = array_fill_keys([14, 15, 16, 17, 22], true);
        $inCells = false;
        $style = 0;
        while ($this->package->step($reader)) {
            if ($reader->localName === 'cellXfs') {
                $inCells = $reader->nodeType === XMLReader::ELEMENT;
            }
            if ($reader->nodeType !== XMLReader::ELEMENT) {
                continue;
            }
            if ($reader->localName === 'numFmt') {
                // Without what stands in quotes and brackets, only dates have a y or a d.
                $code = (string) preg_replace('/"[^"]*"|\[[^\]]*\]|\\\\./', '', $reader->getAttribute('formatCode') ?? '');
                if (preg_match('/[yd]/i', $code) === 1) {
                    $formats[(int) $reader->getAttribute('numFmtId')] = true;
                }
            } elseif ($inCells && $reader->localName === 'xf') {
                if (isset($formats[(int) $reader->getAttribute('numFmtId')])) {
                    $this->dates[$style] = true;
                }
                $style++;
            }
        }
        $reader->close();
    }

    /** @return Generator<int, list<string>> */
    private function sheet(string $entry): Generator
    {
        $reader = $this->package->read($entry);
        $number = 0;
        $column = -1;
        [$cells, $type, $style, $value, $counts] = [[], '', -1, '', false];
        while ($this->package->step($reader)) {
            $name = $reader->localName;
            $opens = $reader->nodeType === XMLReader::ELEMENT;
            $closes = $reader->nodeType === XMLReader::END_ELEMENT || ($opens && $reader->isEmptyElement);
            if ($name === 'row') {
                if ($opens) {
                    $number = is_numeric($reader->getAttribute('r')) ? (int) $reader->getAttribute('r') : $number + 1;
                    [$cells, $column] = [[], -1];
                }
                if ($closes && trim(implode('', $cells)) !== '') {
                    yield $number => $this->filled($cells);
                }
            } elseif ($name === 'c') {
                if ($opens) {
                    $column = $this->column($reader->getAttribute('r')) ?? $column + 1;
                    [$type, $style, $value] = [$reader->getAttribute('t') ?? 'n', (int) $reader->getAttribute('s'), ''];
                }
                if ($closes && $column < TableLimits::COLUMNS + 1) {
                    $cells[$column] = $this->shown($type, $style, $value);
                }
            } elseif ($name === 'v' || $name === 't') {
                $counts = $opens && ! $reader->isEmptyElement;
            } elseif ($counts && $this->isText($reader)) {
                $value .= $reader->value;
            }
        }
        $reader->close();
    }

    private function shown(string $type, int $style, string $value): string
    {
        return match (true) {
            $type === 's' => $this->shared[(int) $value] ?? '',
            $type === 'b' => $value === '1' ? 'yes' : 'no',
            $type === 'e' => '',
            $type === 'd' => substr($value, 0, 10),
            $type === 'n' && isset($this->dates[$style]) && is_numeric($value) => $this->day((float) $value),
            // What was typed as 0.35 may be kept as 0.34999999999999998.
            $type === 'n' && is_numeric($value) && str_contains($value, '.') => rtrim(rtrim(sprintf('%.10F', (float) $value), '0'), '.'),
            $type === 'n' && is_numeric($value) && stripos($value, 'e') !== false => sprintf('%.0F', (float) $value),
            default => $value,
        };
    }

    /** Days are counted from the end of 1899, and in old workbooks from 1904. */
    private function day(float $days): string
    {
        $begin = new DateTimeImmutable($this->since1904 ? '1904-01-01' : '1899-12-30');

        return $days < 1 || $days > 200_000 ? '' : $begin->modify('+'.(int) $days.' days')->format('Y-m-d');
    }

    private function column(?string $reference): ?int
    {
        if ($reference === null || preg_match('/^([A-Z]{1,3})\d+$/', $reference, $m) !== 1) {
            return null;
        }
        $column = 0;
        foreach (str_split($m[1]) as $letter) {
            $column = $column * 26 + ord($letter) - 64;
        }

        return $column - 1;
    }

    /**
     * @param  array<int, string>  $cells
     * @return list<string>
     */
    private function filled(array $cells): array
    {
        $row = array_fill(0, ($cells === [] ? -1 : max(array_keys($cells))) + 1, '');
        foreach ($cells as $column => $cell) {
            $row[$column] = $cell;
        }

        return array_values($row);
    }

    private function isText(XMLReader $reader): bool
    {
        return in_array(
            $reader->nodeType,
            [XMLReader::TEXT, XMLReader::CDATA, XMLReader::SIGNIFICANT_WHITESPACE, XMLReader::WHITESPACE],
            true,
        );
    }
}
