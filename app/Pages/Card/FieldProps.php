<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** A field of the label form, and the part of the line it was read from. */
final readonly class FieldProps
{
    public function __construct(public string $field, public string $value, public string $from) {}
}
