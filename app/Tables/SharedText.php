<?php

declare(strict_types=1);

namespace App\Tables;

use XMLReader;

/**
 * The text that cells of a workbook share: kept once in the file, and used as often as it likes. Source: ECMA-376 part 1, 18.4.8 (si),
 * 18.3.1.4 (c), 18.18.11 (s).
 */
final class SharedText
{
    /** @var list<list<int>> each list of texts in the file → characters of each of them, in bytes */
    private array $lists = [[]];

    /** @var array<int, int> number of a text → how often it is used */
    private array $uses = [];

    private bool $isText = false;

    private bool $isUse = false;

    /** Where the document stands now. */
    public function read(XMLReader $at): void
    {
        if (in_array($at->nodeType, [XMLReader::TEXT, XMLReader::CDATA, XMLReader::SIGNIFICANT_WHITESPACE], true)) {
            if ($this->isText) {
                $texts = array_pop($this->lists) ?? [];
                $texts[] = (int) array_pop($texts) + strlen($at->value);
                $this->lists[] = $texts;
            } elseif ($this->isUse && ctype_digit(trim($at->value))) {
                $number = (int) trim($at->value);
                $this->uses[$number] = ($this->uses[$number] ?? 0) + 1;
            }
        } elseif ($at->localName === 'sst' && $at->nodeType === XMLReader::ELEMENT) {
            $this->lists[] = [];
        } elseif ($at->localName === 'si') {
            $this->isText = $at->nodeType === XMLReader::ELEMENT && ! $at->isEmptyElement;
            if ($at->nodeType === XMLReader::ELEMENT) {
                $this->lists[count($this->lists) - 1][] = 0;
            }
        } elseif ($at->localName === 'c') {
            $this->isUse = $at->nodeType === XMLReader::ELEMENT && ! $at->isEmptyElement && $at->getAttribute('t') === 's';
        }
    }

    public function characters(): int
    {
        // Which list the cells mean is told elsewhere; none of them may be too much.
        $most = 0;
        foreach ($this->lists as $lengths) {
            $sum = 0;
            foreach ($this->uses as $number => $times) {
                $sum += $times * ($lengths[$number] ?? 0);
            }
            $most = max($most, $sum);
        }

        return $most;
    }
}
