<?php

declare(strict_types=1);

namespace Tally\Shoot\Whole;

/** What a card is for in a camera. */
enum PlaceKind: string
{
    case Recording = 'recording';
    case SecondCopy = 'second-copy';
    case Proxies = 'proxies';
    case Spare = 'spare';

    public function label(): string
    {
        return match ($this) {
            self::Recording => '',
            self::SecondCopy => 'the same again',
            self::Proxies => 'proxies',
            self::Spare => 'a spare',
        };
    }
}
