<?php

declare(strict_types=1);

namespace Tally\Label\Line;

/** Finds figures and words of speed in a line, in runs that nothing else interrupts. */
final readonly class SpeedRuns
{
    private const UNIT = '[KMGT]i?[BO](?:'.Vocabulary::PER_SECOND.')|[KMG](?: ?/ ?s)|[KMGT](?:b|bits?)(?:'.Vocabulary::PER_SECOND.')';

    private const SUSTAINED =
        '(?:(?:'.
        Vocabulary::LEAST.
        '|'.
        Vocabulary::WRITING.
        ') ?)?(?:'.
        Vocabulary::SUSTAINED.
        ')(?: ?(?:(?:'.
        Vocabulary::FILLER.
        ') )?(?:'.
        Vocabulary::WRITING.
        '))?'.
        '|'.
        Vocabulary::LEAST.
        '(?: (?:(?:'.
        Vocabulary::FILLER.
        ') )*(?:'.
        Vocabulary::WRITING.
        '))?|(?:'.
        Vocabulary::WRITING.
        ') (?:'.
        Vocabulary::LEAST.
        ')';

    private const FILLER = '(?:(?:'.Vocabulary::FILLER.')(?![\p{L}])[ :=]*)*';

    /** What may stand between two pieces of one run. */
    private const BETWEEN = '~^[\s,;:/()=+&@-]*(?:'.Vocabulary::AND.'|with|mit|avec|con|in|im|beim|di|de|は|で)?[\s,;:/()=+&@-]*$~iu';

    /** @return list<non-empty-list<SpeedToken>> */
    public static function of(string $line): array
    {
        $runs = [];
        $end = null;
        foreach (self::tokens($line) as $token) {
            if ($token->joined && $end !== null) {
                $runs[$end][] = $token;
            } else {
                $end = count($runs);
                $runs[] = [$token];
            }
        }

        return array_values(array_filter(array_map(self::withoutStrayNumbers(...), $runs), fn (array $run): bool => $run !== []));
    }

    /** @return list<SpeedToken> */
    private static function tokens(string $line): array
    {
        [$number, $unit, $filler] = [PrintedNumber::PATTERN, self::UNIT, self::FILLER];
        // A range has two ends, and neither is a claim.
        $edge = '(?![\p{L}\p{N}'.Strip::RANGE.'])';
        // Behind other units a number is no speed.
        $other = '(?! ?(?:[KMGT]i?[BO]|bits?|x|mm|fps|Hz|[pk]|°)(?![\p{L}\p{N}]))(?! ?[°%])(?![.,]\d)';
        // A single letter may stick to its figure (R95, 95R); a longer word may not.
        $pattern =
            '~(?:(?<![\p{L}\p{N}.,'.Strip::RANGE.'])|(?<=[^\p{L}\p{N}][RW])|(?<=大))(?:'.
            "(?<figure>{$filler}(?<number>{$number}) ?(?<unit>{$unit}){$edge})".
            '|(?<sustained>(?:'.
            self::SUSTAINED.
            "){$edge} ?{$filler})".
            '|(?<both>(?:'.
            Vocabulary::BOTH.
            "){$edge} ?{$filler})".
            '|(?<read>(?:(?:'.
            Vocabulary::READ.
            "){$edge}|R(?=\d)) ?{$filler})".
            '|(?<write>(?:(?:'.
            Vocabulary::WRITE.
            "){$edge}|W(?=\d)) ?{$filler})".
            "|(?<bare>(?<digits>\d{1,3}(?:[ ,.]\d{3})+|\d{2,5})(?=[RW]?{$edge}){$other})".
            ')|(?<=\d)(?:(?<stuckRead>R)|(?<stuckWrite>W))'.
            $edge.
            '~iu';
        preg_match_all($pattern, $line, $found, PREG_SET_ORDER | PREG_OFFSET_CAPTURE | PREG_UNMATCHED_AS_NULL);
        $tokens = [];
        $end = 0;
        foreach ($found as $m) {
            [$text, $at] = $m[0];
            if ($text === null) {
                continue;
            }
            $got = fn (string $group): string => $m[$group][0] ?? '';
            $kind = match (true) {
                $got('figure') !== '' || $got('bare') !== '' => 'figure',
                $got('sustained') !== '' => 'sustained',
                $got('both') !== '' => 'both',
                $got('read') !== '' || $got('stuckRead') !== '' => 'read',
                default => 'write',
            };
            $between = substr($line, $end, $at - $end);
            $isJoined = $tokens !== [] && preg_match(self::BETWEEN, $between) === 1;
            $isBetweenFigures =
                $isJoined &&
                $tokens[count($tokens) - 1]->isFigure() &&
                preg_match('~^[\s:=]*\d~', substr($line, $at + strlen($text))) === 1;
            if (
                $kind === 'sustained' &&
                $isBetweenFigures &&
                preg_match('~^((?:'.Vocabulary::WRITING.') )(.+)$~isu', $text, $two) === 1
            ) {
                // `1400MB/s write sustained 850MB/s`: the first word belongs to the figure before, the second to the one behind.
                $tokens[] = new SpeedToken('write', $at, $two[1], '', unit: '', joined: true, paired: false);
                $tokens[] = new SpeedToken('sustained', $at + strlen($two[1]), $two[2], '', unit: '', joined: true, paired: false);
                $end = $at + strlen($text);

                continue;
            }
            $number = $got('number') === '' ? -1 : (int) strpos($text, $got('number')) + $at;
            $tokens[] = new SpeedToken(
                $kind,
                $at,
                $text,
                $got('number').$got('digits'),
                unit: $got('unit'),
                joined: $isJoined,
                paired: trim($between) === '/',
                parted: preg_match('~[,;()]~', $between) === 1,
                // A word of speed in front of it is no part of a name.
                before: $number > $at || ($isJoined && ! $tokens[count($tokens) - 1]->isFigure()) ? '' : substr($line, 0, max(0, $at)),
            );
            $end = $at + strlen($text);
        }

        return $tokens;
    }

    private static function digits(SpeedToken $token): int
    {
        return (int) preg_replace('/\D/', '', $token->number);
    }

    /**
     * A number without a unit counts only beside a word, or tied by a stroke to another figure.
     *
     * @param  non-empty-list<SpeedToken>  $run
     * @return list<SpeedToken>
     */
    private static function withoutStrayNumbers(array $run): array
    {
        $kept = [];
        foreach ($run as $i => $token) {
            $isWord = fn (int $at): bool => isset($run[$at]) && ! $run[$at]->isFigure();
            $other = $token->paired ? $run[$i - 1] ?? null : (($run[$i + 1] ?? null)?->paired === true ? $run[$i + 1] : null);
            $isTied = $other?->isFigure() === true && min(self::digits($token), self::digits($other)) >= 20;
            $isPlausible = ! $token->isBare() || $isWord($i - 1) || $isWord($i + 1) || $isTied;
            if ($isPlausible) {
                $kept[] = $token;
            }
        }
        $figures = array_filter($kept, fn (SpeedToken $token): bool => $token->isFigure());

        return $figures === [] ? [] : $kept;
    }
}
