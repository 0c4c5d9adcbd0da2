<?php

declare(strict_types=1);

namespace Tally\Shoot;

/** A card that is asked about, by its tag. */
final readonly class FitCard
{
    /** @param  string  $remark  what else is said of it wherever it goes, such as `footage on it`; empty where there is nothing */
    public function __construct(public string $tag, public Ability $ability, public string $remark = '') {}
}
