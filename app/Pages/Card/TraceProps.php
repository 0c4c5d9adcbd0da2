<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** Speed along the bytes. */
final readonly class TraceProps
{
    /**
     * @param  list<array{float, float}>  $write  end offset in bytes, MB/s
     * @param  list<array{float, float}>  $read
     */
    public function __construct(public int $size, public array $write, public array $read) {}
}
