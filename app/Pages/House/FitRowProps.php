<?php

declare(strict_types=1);

namespace App\Pages\House;

/** A row of the sheet of what fits where. */
final readonly class FitRowProps
{
    /** @param  list<FitCellProps>  $cells */
    public function __construct(public string $key, public string $name, public array $cells) {}
}
