<?php

declare(strict_types=1);

namespace App\Pages\House;

/** A row as it would be entered. */
final readonly class GoodRowProps
{
    public function __construct(public int $row, public string $tag, public string $name, public string $line, public string $rest) {}
}
