<?php

declare(strict_types=1);

namespace App\Pages\House;

/** A book that can go out. */
final readonly class BookProps
{
    /** @param  list<string>  $columns */
    public function __construct(public string $key, public string $words, public array $columns) {}
}
