<?php

declare(strict_types=1);

namespace App\Pages\House;

/** What a column was and became. */
final readonly class ChangeProps
{
    /** @param  string|null  $was  null where it was entered */
    public function __construct(public string $column, public ?string $was, public string $is) {}
}
