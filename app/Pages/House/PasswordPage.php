<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Pages\Page;

/** All that the page Password shows. */
final readonly class PasswordPage extends Page
{
    /**
     * @param  bool  $must  whether the one in use was given by somebody else
     * @param  int  $least  characters
     */
    public function __construct(
        public string $name,
        public bool $must,
        public int $least,
    ) {}
}
