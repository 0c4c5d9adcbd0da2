<?php

declare(strict_types=1);

namespace Tally\Offload\Question;

use Tally\Quantity\Rate;
use Tally\Value\In;

/** A slot of a reader. */
final readonly class ReaderSlot
{
    /**
     * @param  array<string, float>  $buses  bus that it speaks → bytes a second
     * @param  string|null  $lane  slots of a reader that name one share it
     */
    public function __construct(public string $name, #[In(Rate::class)] public array $buses = [], public ?string $lane = null) {}
}
