<?php

declare(strict_types=1);

namespace App\Props\Books;

/** A book that can go out, and a format that it can go out as. */
final readonly class BookProps
{
    /** @param  list<string>  $columns  empty of a format */
    public function __construct(public string $key, public string $words, public array $columns, public bool $isOfCards) {}
}
