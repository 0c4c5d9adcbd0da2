<?php

declare(strict_types=1);

namespace App\Pages\Offload;

/** A plan that a page showed before, and how it stands to what is known now. */
final readonly class ShownPlanProps
{
    /** @param  float  $done  seconds, with what is known now */
    public function __construct(public string $key, public float $done, public int $hands) {}
}
