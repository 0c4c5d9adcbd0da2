<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** A temperature that somebody read off. */
final readonly class HeatProps
{
    /** @param  string  $at  after how much, in words */
    public function __construct(public string $at, public string $temperature, public ?string $by) {}
}
