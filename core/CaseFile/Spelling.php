<?php

declare(strict_types=1);

namespace Tally\CaseFile;

use Tally\Record\Fields;
use Tally\Record\NotUsable;

/** Finds fields that were meant to be others: a misspelt one would be passed over in silence. */
final readonly class Spelling
{
    /** So many letters apart is a slip of the pen. */
    private const NEAR = 2;

    /** @throws NotUsable where a field is not known and looks like one that is */
    public static function check(Fields $fields, string ...$known): void
    {
        foreach (array_keys($fields->values) as $key) {
            $key = (string) $key;
            foreach (in_array($key, $known, true) ? [] : $known as $one) {
                if (levenshtein(strtolower($key), $one) <= self::NEAR) {
                    throw $fields->wrong(
                        $key,
                        "there is no such field; perhaps “{$one}” is meant. Known here: ".implode(', ', $known).'.',
                    );
                }
            }
        }
    }
}
