<?php

declare(strict_types=1);

namespace App\Kit;

/** One part, under the number it has in the books; 0 for a new one. */
final readonly class KitRowProps
{
    /** @param  list<KitFieldProps>  $fields */
    public function __construct(public int $id, public array $fields) {}
}
