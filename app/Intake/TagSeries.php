<?php

declare(strict_types=1);

namespace App\Intake;

use InvalidArgumentException;

/** The tags of a batch: QS-041, QS-042, QS-043 … */
final readonly class TagSeries
{
    public const MOST = 200;

    /**
     * @param  string  $count  as typed; empty for one
     * @return non-empty-list<string>
     *
     * @throws InvalidArgumentException with a sentence
     */
    public static function of(string $first, string $count): array
    {
        if ($count !== '' && (preg_match('/^\d{1,6}$/', $count) !== 1 || (int) $count < 1 || (int) $count > self::MOST)) {
            throw new InvalidArgumentException(
                'How many was “'.mb_substr($count, 0, 20).'”. Give a whole number from 1 to '.self::MOST.'.',
            );
        }
        $many = max(1, (int) $count);
        if ($many === 1) {
            return [$first];
        }
        if (preg_match('/^(.*?)(\d{1,9})$/', $first, $m) !== 1) {
            throw new InvalidArgumentException(
                "“{$first}” ends in no number, so no series can be counted from it. Begin with a tag such as QS-041.",
            );
        }
        $tags = array_map(
            fn (int $i): string => $m[1].str_pad((string) ((int) $m[2] + $i), strlen($m[2]), '0', STR_PAD_LEFT),
            range(0, $many - 1),
        );
        if (strlen($tags[$many - 1]) > 20) {
            throw new InvalidArgumentException(
                "The series would end in “{$tags[$many - 1]}”, which is longer than 20 characters. Begin with a shorter tag.",
            );
        }

        return $tags;
    }
}
