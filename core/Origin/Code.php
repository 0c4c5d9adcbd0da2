<?php

declare(strict_types=1);

namespace Tally\Origin;

/** A code as it stands on a card or a bill, and what of it counts when two are compared. */
final readonly class Code
{
    /** Letters and digits in capitals: spaces, hyphens and dots are how somebody typed it. Null when nothing is left. */
    public static function key(?string $code): ?string
    {
        $key = mb_strtoupper((string) preg_replace('/[^\p{L}\p{N}]+/u', '', $code ?? ''));

        return $key === '' ? null : $key;
    }
}
