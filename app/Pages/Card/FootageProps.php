<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** What of a card must come home before anything is erased. */
final readonly class FootageProps
{
    /**
     * @param  string|null  $now  how much is on it; null when it is clear
     * @param  string|null  $secured  where two copies of it were read back; null where it is not secured here
     * @param  list<FootageActProps>  $acts  the newest first
     */
    public function __construct(public ?string $now, public ?string $secured, public array $acts) {}
}
