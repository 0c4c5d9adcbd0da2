<?php

declare(strict_types=1);

namespace App\Pages\Offload;

/** The figures of a plan. Times are seconds. */
final readonly class FiguresProps
{
    public function __construct(public float $done, public float $free, public int $hands) {}
}
