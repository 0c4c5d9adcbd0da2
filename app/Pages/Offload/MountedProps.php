<?php

declare(strict_types=1);

namespace App\Pages\Offload;

/** The folder where a slot or drive was mounted last. */
final readonly class MountedProps
{
    public function __construct(public string $thing, public string $folder) {}
}
