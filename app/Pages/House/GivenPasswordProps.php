<?php

declare(strict_types=1);

namespace App\Pages\House;

/** A password that was just made for somebody, shown once. */
final readonly class GivenPasswordProps
{
    public function __construct(public string $name, public string $password) {}
}
