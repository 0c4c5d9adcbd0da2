<?php

declare(strict_types=1);

namespace App\Pages\House;

/** A try to sign in. */
final readonly class SignInProps
{
    public function __construct(public int $id, public string $on, public string $name, public string $outcome, public string $from) {}
}
