<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** That somebody said a card carries footage, or cleared it. */
final readonly class FootageActProps
{
    /** @param  string  $what  a size, or “cleared” */
    public function __construct(public int $id, public string $what, public string $on, public string $person, public ?string $note) {}
}
