<?php

declare(strict_types=1);

namespace Tally\CaseFile;

use Tally\Value\NotUsable;
use Tally\Value\Values;

/** Reads a case: what is known of one card, as figures from anywhere. Its schema is docs/case.schema.json. */
final readonly class CaseReader
{
    public const FORMAT = 'gritty-tally-case';

    public const VERSION = 1;

    /**
     * @param  mixed  $case  as JSON gives it
     *
     * @throws NotUsable with the field, what was given and what would do
     */
    public static function read(mixed $case, string $at = ''): CaseOfCard
    {
        return Values::read(WrittenCase::class, $case, $at)->case();
    }
}
