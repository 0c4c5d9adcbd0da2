<?php

declare(strict_types=1);

namespace Tally\Inspection;

/** One of the things that can be seen. */
final readonly class Answer
{
    /**
     * @param  string  $key  as it is kept
     * @param  string  $words  as it is offered
     * @param  string  $says  what it means, as a sentence; empty when all is well
     * @param  Weight|null  $weight  null when all is well
     * @param  bool  $asksCode  whether a code is to be typed with it
     */
    public function __construct(
        public string $key,
        public string $words,
        public string $says = '',
        public ?Weight $weight = null,
        public bool $asksCode = false,
    ) {}

    public function isTrouble(): bool
    {
        return $this->weight !== null;
    }
}
