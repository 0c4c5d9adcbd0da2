<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** A slot with a folder that this program can copy from. */
final readonly class CopySlotProps
{
    public function __construct(public int $id, public string $name, public string $path, public ?string $refusal) {}
}
