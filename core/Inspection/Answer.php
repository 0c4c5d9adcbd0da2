<?php

declare(strict_types=1);

namespace Tally\Inspection;

use Tally\Verdict\VerdictKind;

/** One of the things that can be seen. */
final readonly class Answer
{
    /**
     * @param  string  $key  as it is kept
     * @param  string  $words  as it is offered
     * @param  string  $says  what it means, as a sentence; empty when all is well
     * @param  VerdictKind|null  $bearing  the verdict it would carry by itself: Sham, Shaky, or Unproven for a mere doubt
     * @param  bool  $asksCode  whether a code is to be typed with it
     */
    public function __construct(
        public string $key,
        public string $words,
        public string $says = '',
        public ?VerdictKind $bearing = null,
        public bool $asksCode = false,
    ) {}

    public function isTrouble(): bool
    {
        return $this->bearing !== null;
    }
}
