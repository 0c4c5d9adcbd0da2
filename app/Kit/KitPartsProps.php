<?php

declare(strict_types=1);

namespace App\Kit;

/** Parts of a piece of gear, such as the slots of a reader: rows of fields. */
final readonly class KitPartsProps
{
    /**
     * @param  string  $one  what one of them is called
     * @param  list<KitFieldProps>  $blank  an empty row
     * @param  list<KitRowProps>  $rows
     */
    public function __construct(public string $name, public string $title, public string $one, public array $blank, public array $rows) {}
}
