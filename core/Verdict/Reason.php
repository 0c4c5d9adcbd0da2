<?php

declare(strict_types=1);

namespace Tally\Verdict;

/** One thing that speaks for or against a card, and how it is known. */
final readonly class Reason
{
    /**
     * @param  VerdictKind  $bearing  the verdict it would carry by itself
     * @param  string  $lead  the fact, to be set in bold
     * @param  string  $rest  the rest of the sentence
     * @param  string  $evidence  how it was got: run, chain, region, source
     */
    public function __construct(
        public VerdictKind $bearing,
        public string $lead,
        public string $rest,
        public string $evidence,
    ) {}

    public function sentence(): string
    {
        return trim($this->lead.' '.$this->rest);
    }
}
