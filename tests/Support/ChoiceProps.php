<?php

declare(strict_types=1);

namespace Tests\Support;

/** Has the name of a class of the application. */
final readonly class ChoiceProps
{
    public function __construct(public string $key) {}
}
