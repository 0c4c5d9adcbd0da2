<?php

declare(strict_types=1);

namespace App\Pages\House;

/** Facts of one kind. */
final readonly class HandbookSectionProps
{
    /** @param  list<HandbookRowProps>  $rows */
    public function __construct(public string $key, public string $title, public array $rows) {}
}
