<?php

declare(strict_types=1);

namespace Tally\Label\Line;

use Normalizer;
use Tally\Label\Mark;

/** A line of print that is read piece by piece: what has been understood is blanked out, what is left stays visible. */
final class Strip
{
    /** Stands between the ends of a range. */
    public const RANGE = '‥';

    private const SIGNS = [
        '⑩' => ' C10 ', '™' => ' ', '®' => ' ', '*' => ' ', '†' => ' ', '×' => 'x', '毎秒' => ' ', '秒' => 's',
    ];

    private string $rest;

    public function __construct(string $line)
    {
        $plain = self::plain($line);
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

    /** Signs that stand for letters and digits as those; what is no text at all, as far as it is. */
    private static function plain(string $line): string
    {
        $text = strtr(mb_scrub($line, 'UTF-8'), self::SIGNS);
        // A class number in a ring belongs to the U before it, or is a C class; Roman numerals, wide letters and the like are plain ones.
        $text = (string) preg_replace(['/(?<=U) ?③/u', '/(?<=U) ?①/u', '/([②④⑥])/u'], ['3', '1', ' C$1 '], $text);
        $plain = Normalizer::normalize($text, Normalizer::NFKC);
        $text = (string) preg_replace('/[‐‑‒–—−]/u', '-', is_string($plain) ? $plain : $text);
        // Words and figures that nothing but a sign parts: `(R),100MB/s`, `読込最大170MB/s`; and `90MBs`.
        $text = (string) preg_replace(
            ['/(?<=[^\d\s])([,;)])(?=[^\s,;)])/u', '/('.Vocabulary::UNSPACED.')/u', '/(?<=\d)( ?[KMG]i?B)s(?![\p{L}\p{N}])/u'],
            ['$1 ', ' $1 ', '$1/s'],
            $text,
        );
        // A bar or a dash between two speeds parts them as a stroke does.
        $speed = '\d(?: ?[KMGT]?i?[BbOo]?(?:\/s|ps))?';

        return (string) preg_replace("~{$speed}\K\s*\|\s*(?=\d)~u", ' / ', self::parted($text));
    }

    /** `280-150MB/s`, read first: the slower one first would be a range. */
    private static function parted(string $text): string
    {
        $unit = ' ?[KMG]i?[BbOo](?:/s|ps)';

        return (string) preg_replace_callback(
            "~(?<![\\p{L}\\p{N}.,-])(\\d{2,5})({$unit})?(\\s*-\\s*)(\\d{2,5})(?={$unit})~u",
            fn (array $m): string => (int) $m[1] >= (int) $m[4] ? "{$m[1]}{$m[2]} / {$m[4]}" : "{$m[1]}{$m[2]}".self::RANGE.$m[4],
            $text,
        );
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
     * The same, and in `before` what stood in front of the piece.
     *
     * @return array<int|string, string>|null
     */
    public function takeWithBefore(string $pattern): ?array
    {
        $rest = $this->rest;
        $found = $this->take($pattern);

        return $found === null ? null : [...$found, 'before' => substr($rest, 0, strspn($rest ^ $this->rest, "\0"))];
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
        $pieces = array_map(
            fn (string $piece): string => (string) preg_replace('~^[\s.,;:/|()\[\]+·•&-]+|[\s.,;:/|()\[\]+·•&-]+$~u', '', $piece),
            explode('|', $this->rest),
        );

        return array_values(array_filter($pieces, fn (string $piece): bool => $piece !== ''));
    }
}
