<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** One of the things that can be seen. */
final readonly class AnswerProps
{
    public function __construct(public string $key, public string $words, public bool $asksCode) {}
}
