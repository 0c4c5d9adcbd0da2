<?php

declare(strict_types=1);

namespace Tally\Shoot;

/** What a camera does with its slots while it records. */
enum Recording: string
{
    case OneSlot = 'one-slot';
    case Relay = 'relay';
    case Both = 'both';
    case Proxies = 'proxies';

    public function label(): string
    {
        return match ($this) {
            self::OneSlot => 'one slot',
            self::Relay => 'from slot to slot, as each fills',
            self::Both => 'the same in both slots',
            self::Proxies => 'proxies in the second slot',
        };
    }
}
