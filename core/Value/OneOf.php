<?php

declare(strict_types=1);

namespace Tally\Value;

use Attribute;

/** One of several classes, told apart in JSON by one of its fields. */
#[Attribute(Attribute::TARGET_CLASS)]
final readonly class OneOf
{
    /** @param  array<string, class-string>  $classes  by what that field says */
    public function __construct(public string $key, public array $classes) {}
}
