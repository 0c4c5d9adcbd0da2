<?php

declare(strict_types=1);

namespace App\Pages\Shoot;

/** Which card goes where, and what is on it in the evenings. */
final readonly class PackedProps
{
    /**
     * @param  list<PackedPlaceProps>  $places
     * @param  list<EveningProps>  $evenings
     */
    public function __construct(public array $places, public array $evenings) {}
}
