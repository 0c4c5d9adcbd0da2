<?php

declare(strict_types=1);

namespace App\Shoot;

/** The bursts in one body: those with this card, and those with others. */
final readonly class BodyProps
{
    /**
     * @param  string  $says  whether the body or the card is the limit, a sentence; empty where it cannot be told
     * @param  list<BurstProps>  $own
     * @param  list<BurstProps>  $others
     */
    public function __construct(public string $camera, public string $name, public string $says, public array $own, public array $others) {}
}
