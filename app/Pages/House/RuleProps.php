<?php

declare(strict_types=1);

namespace App\Pages\House;

/** A threshold that the house goes by. */
final readonly class RuleProps
{
    /**
     * @param  string  $key  by which it is changed; empty where it stands in the program
     * @param  string  $value  as it is now, with its unit
     * @param  string  $standard  what it is where nobody changed it
     * @param  string  $source  of the standard
     * @param  string  $changed  who changed it, when and why; empty where nobody did
     */
    public function __construct(
        public string $key,
        public string $name,
        public string $value,
        public string $standard,
        public string $source,
        public string $changed,
    ) {}
}
