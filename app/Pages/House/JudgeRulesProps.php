<?php

declare(strict_types=1);

namespace App\Pages\House;

/** Rules of judgement as a form has them: percent. */
final readonly class JudgeRulesProps
{
    public function __construct(public string $full, public string $near, public string $short, public string $above) {}
}
