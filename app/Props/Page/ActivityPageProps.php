<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Activity\BookLineProps;

/** Every change of the books, of a card or of the house. */
final readonly class ActivityPageProps implements PageProps
{
    /**
     * @param  string|null  $tag  of one card alone; null for the house
     * @param  list<BookLineProps>  $lines  the newest first
     * @param  int|null  $older  the line before which older ones are asked for; null where there are none
     */
    public function __construct(public ?string $tag, public int $count, public array $lines, public ?int $older) {}
}
