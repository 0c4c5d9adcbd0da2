<?php

declare(strict_types=1);

namespace App\Pages\Shoot;

/** A shoot that was kept, in a list. */
final readonly class KeptShootProps
{
    /** @param  string  $on  such as `27 Nov 2026, 3 days` */
    public function __construct(public int $id, public string $name, public string $on, public int $cards) {}
}
