<?php

declare(strict_types=1);

namespace Tally\Label\Line;

use Tally\Label\Mark;

/** A line of print that is read piece by piece: what has been understood is blanked out, what is left stays visible. */
final class Strip
{
    private string $rest;

    public function __construct(string $line)
    {
        $plain = strtr($line, [
            '×' => 'x',
            '⑩' => 'C10',
            '⑥' => 'C6',
            '④' => 'C4',
            '②' => 'C2',
            '™' => ' ',
            '®' => ' ',
            '–' => '-',
            '—' => '-',
            '‑' => '-',
            '*' => ' ',
            '†' => ' ',
        ]);
        // Marks that were typed without a space: U3V30. The longest first, so that V10 is not read as V1 and a nought.
        $marks = array_map(fn (Mark $mark): string => $mark->value, Mark::cases());
        usort($marks, fn (string $a, string $b): int => strlen($b) <=> strlen($a));
        $marks = implode('|', $marks);
        $plain = (string) preg_replace_callback(
            '/(?<![\p{L}\p{N}])(?:'.$marks.'){2,}(?![\p{L}\p{N}])/iu',
            fn (array $m): string => (string) preg_replace('/(?<=\d)(?=[A-Z])/i', ' ', $m[0]),
            $plain,
        );
        $this->rest = ' '.trim((string) preg_replace('/[\s\x{00A0}\x{2009}\x{202F}]+/u', ' ', $plain)).' ';
    }

    /**
     * Takes the first piece that fits.
     *
     * @param  string  $pattern  without delimiters; matched without regard to case, between characters that are no letters or digits
     * @return array<int|string, string>|null the matches, as preg_match gives them; unmatched groups are empty
     */
    public function take(string $pattern): ?array
    {
        if (preg_match('~(?<![\p{L}\p{N}.,])(?:'.$pattern.')(?![\p{L}\p{N}])~iu', $this->rest, $m, PREG_OFFSET_CAPTURE) !== 1) {
            return null;
        }
        [$text, $at] = $m[0];
        $this->rest = substr($this->rest, 0, $at).' | '.substr($this->rest, $at + strlen($text));

        return array_map(fn (array $group): string => trim($group[0]), $m);
    }

    /**
     * Takes every piece that fits.
     *
     * @return list<array<int|string, string>>
     */
    public function takeAll(string $pattern): array
    {
        $all = [];
        while (($found = $this->take($pattern)) !== null) {
            $all[] = $found;
        }

        return $all;
    }

    /** What is left, with a bar wherever something was taken. */
    public function rest(): string
    {
        return $this->rest;
    }

    /**
     * Takes stretches of what is left.
     *
     * @param  list<array{int, int}>  $stretches  where each begins and how long it is, in bytes
     */
    public function takeOut(array $stretches): void
    {
        rsort($stretches);
        foreach ($stretches as [$at, $length]) {
            $this->rest = substr($this->rest, 0, $at).' | '.substr($this->rest, $at + $length);
        }
    }

    /**
     * Takes the pieces that consist of such words and of nothing else.
     *
     * @param  string  $pattern  of one word, as for take()
     */
    public function drop(string $pattern): void
    {
        $pieces = array_map(
            fn (string $piece): string => preg_match('~^(?:[\s,;:/()+&.-]*(?:'.$pattern.')(?!\p{L}))+[\s,;:/()+&.-]*$~iu', $piece) === 1
                ? ' '
                : $piece,
            explode('|', $this->rest),
        );
        $this->rest = implode('|', $pieces);
    }

    /** @return list<string> what nobody understood, in pieces as they stood between what was */
    public function left(): array
    {
        $pieces = array_map(fn (string $piece): string => trim($piece, ' ,;:/|()[]+·•-&'), explode('|', $this->rest));

        return array_values(array_filter($pieces, fn (string $piece): bool => $piece !== ''));
    }
}
