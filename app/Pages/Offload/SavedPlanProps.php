<?php

declare(strict_types=1);

namespace App\Pages\Offload;

/** A plan that was kept, in a list. */
final readonly class SavedPlanProps
{
    /**
     * @param  string  $on  the day it was made
     * @param  float  $done  seconds, as planned
     * @param  float|null  $took  seconds it really took; null while nobody has said
     */
    public function __construct(public int $id, public string $name, public string $on, public float $done, public ?float $took) {}
}
