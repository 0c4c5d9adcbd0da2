<?php

declare(strict_types=1);

namespace App\Pages\Card;

/**
 * What the laps come to while they are taken.
 *
 * @phpstan-import-type LapProps from CopyPage
 */
final readonly class CopyCheckProps
{
    /** @param  list<LapProps>  $laps */
    public function __construct(public array $laps, public ?string $bound, public ?string $trouble) {}
}
