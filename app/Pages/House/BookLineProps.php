<?php

declare(strict_types=1);

namespace App\Pages\House;

/** A change of the books. */
final readonly class BookLineProps
{
    /**
     * @param  string  $did  entered, changed or deleted
     * @param  list<ChangeProps>  $changes  of its columns
     */
    public function __construct(
        public int $id,
        public string $on,
        public string $who,
        public string $did,
        public string $what,
        public array $changes,
    ) {}
}
