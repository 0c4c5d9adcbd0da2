<?php

declare(strict_types=1);

namespace App\Pages\House;

/** What a plan reckons with, as a form has it: seconds. */
final readonly class HandTimesProps
{
    public function __construct(public string $swap, public string $first, public string $overhead) {}
}
