<?php

declare(strict_types=1);

namespace Tally\Shoot;

/** A card that is asked about, by its tag. */
final readonly class FitCard
{
    public function __construct(public string $tag, public Ability $ability) {}
}
