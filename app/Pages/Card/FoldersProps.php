<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** Where the cards of an offload would go. */
final readonly class FoldersProps
{
    /** @param  list<string>  $folders  on each drive */
    public function __construct(public array $folders) {}
}
