<?php

declare(strict_types=1);

namespace Tally\Offload\Question;

/** What a plan is to have least of, and what decides between two that are alike in it. */
enum Goal: string
{
    case Safe = 'safe';
    case Free = 'free';
    case Hands = 'hands';

    public function words(): string
    {
        return match ($this) {
            self::Safe => 'all safe soonest',
            self::Free => 'cards free soonest',
            self::Hands => 'least hands',
        };
    }

    /** @return list<float> the figures in the order in which they count */
    public function figures(float $done, float $free, int $hands): array
    {
        return match ($this) {
            self::Safe => [$done, $free, (float) $hands],
            self::Free => [$free, $done, (float) $hands],
            self::Hands => [(float) $hands, $done, $free],
        };
    }
}
