<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** The suggested next step. */
final readonly class StepProps
{
    /** @param  string|null  $href  null when the step is nothing this program does */
    public function __construct(public string $words, public string $detail, public ?string $href) {}
}
