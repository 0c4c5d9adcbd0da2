<?php

declare(strict_types=1);

namespace App\Kit;

/**
 * A piece of gear in the list.
 *
 * @phpstan-import-type CeilingProps from Field
 */
final readonly class KitItemProps
{
    /**
     * @param  list<string>  $lines  what it is made of
     * @param  list<CeilingProps>  $ceilings
     * @param  string|null  $trouble  what went badly with it, a sentence; null for nothing
     */
    public function __construct(
        public string $key,
        public string $tag,
        public string $name,
        public array $lines,
        public array $ceilings,
        public ?string $trouble,
    ) {}
}
