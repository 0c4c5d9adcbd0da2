<?php

declare(strict_types=1);

namespace Tally\Value;

use Attribute;

/**
 * What a field is called in JSON, where that is not its own name in small letters. On a method: what is told besides, for who
 * reads the JSON, and is reckoned anew when it is read back.
 */
#[Attribute(Attribute::TARGET_PARAMETER | Attribute::TARGET_PROPERTY | Attribute::TARGET_METHOD)]
final readonly class Key
{
    public function __construct(public string $name) {}
}
