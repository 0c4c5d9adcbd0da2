<?php

declare(strict_types=1);

namespace App\Pages\Practice;

/** How often something was got wrong, ten rounds after ten. */
final readonly class MistakeProps
{
    /** @param  list<int>  $blocks  of ten rounds each, the oldest first */
    public function __construct(public string $words, public int $count, public array $blocks) {}
}
