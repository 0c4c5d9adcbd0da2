<?php

declare(strict_types=1);

namespace Tally\Shoot;

use Tally\Label\About;
use Tally\Label\Finding;

/** What recordings that stopped say of a card. One may be anything; a card that stopped two is looked into. Handbook § 7. */
final readonly class StopFindings
{
    private const LOOK_INTO = 2;

    /**
     * @param  int  $times  that the card itself stopped one
     * @return list<Finding>
     */
    public static function of(int $times): array
    {
        return $times < self::LOOK_INTO
            ? []
            : [
                Finding::doubt(
                    'stopped-recordings',
                    "It stopped a recording {$times} times. Look into it: inspect it, and measure it over a long write.",
                    'what was logged at the cameras; house rule',
                )->about(About::Contact),
            ];
    }
}
