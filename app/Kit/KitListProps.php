<?php

declare(strict_types=1);

namespace App\Kit;

/** All gear of one kind. */
final readonly class KitListProps
{
    /** @param  list<KitItemProps>  $items */
    public function __construct(public string $kind, public string $title, public string $one, public array $items) {}
}
