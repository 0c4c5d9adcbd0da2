<?php

declare(strict_types=1);

namespace Tally\Label\Line;

use Tally\Label\Mark;

/** The speed-class marks on a label, as letters with a number or in words. */
final class MarkWords
{
    /** @var list<Mark> */
    public array $marks = [];

    /** @var array<string, string> */
    public array $from = [];

    /** @var list<string> */
    public array $notes = [];

    /** @var list<string> */
    public array $unread = [];

    private function __construct() {}

    public static function read(Strip $strip): self
    {
        $words = new self();
        $words->take($strip);

        return $words;
    }

    private function take(Strip $strip): void
    {
        // “UHS-I Class 3” names bus and mark at once; the bus is read from it later.
        $class = '(?:'.Vocabulary::SPEED_CLASS.')';
        $words = [
            'VPG' => 'VPG',
            'V' => '(?:video speed class|V)',
            'U' => "(?:UHS[ -]{$class}|(?:(?<=UHS-I[ ])|(?<=UHS I[ ])|(?<=UHS-II[ ])){$class}|U)",
            'E' => 'E',
            'A' => '(?:app(?:lication)? performance class|A)',
            'C' => "(?:{$class}|CL\\.?|C)",
        ];
        $printed = [];
        foreach ($words as $letter => $pattern) {
            foreach ($strip->takeAll("{$pattern}[ -]?(".implode('|', Mark::numbers($letter)).')') as $found) {
                $mark = Mark::from($letter.($found[1] ?? ''));
                if (! in_array($mark, $this->marks, true)) {
                    $this->marks[] = $mark;
                }
                $printed[$mark->value] = $found[0];
            }
        }
        // There is no class 1 or 3 of the first kind: what is printed so is the U class of that number.
        foreach ($strip->takeAll("{$class}[ -]?([13])") as $found) {
            $mark = Mark::from('U'.($found[1] ?? ''));
            if (! in_array($mark, $this->marks, true)) {
                $this->marks[] = $mark;
                $printed[$mark->value] = $found[0];
            }
        }
        $this->twiceMarked($printed);
        // In the order of the standards, old to new, however they are printed.
        usort($this->marks, fn (Mark $a, Mark $b): int => array_search($a, Mark::cases(), true) <=> array_search($b, Mark::cases(), true));
        if ($this->marks !== []) {
            $this->from['marks'] = implode(' ', array_map(fn (Mark $mark): string => $printed[$mark->value] ?? '', $this->marks));
        }
    }

    /**
     * Of one kind a card has one mark.
     *
     * @param  array<string, string>  $printed  mark → as printed
     */
    private function twiceMarked(array $printed): void
    {
        $kinds = [];
        foreach ($this->marks as $mark) {
            $kinds[(string) preg_replace('~\d+$~', '', $mark->value)][] = $mark;
        }
        foreach (array_filter($kinds, fn (array $kind): bool => count($kind) > 1) as $kind) {
            $words = array_map(fn (Mark $mark): string => $printed[$mark->value] ?? '', $kind);
            $this->notes[] = '“'.implode('” and “', $words).'” are both printed: which is the card’s is not taken for granted.';
            array_push($this->unread, ...$words);
            $this->marks = array_values(array_filter($this->marks, fn (Mark $mark): bool => ! in_array($mark, $kind, true)));
        }
    }
}
