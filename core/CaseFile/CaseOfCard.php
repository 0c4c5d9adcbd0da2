<?php

declare(strict_types=1);

namespace Tally\CaseFile;

use Tally\Evidence\Evidence;

/** What is known of one card, and what somebody says of it. */
final readonly class CaseOfCard
{
    /** @param  string  $because  why they say so */
    public function __construct(
        public string $name,
        public string $because,
        public Evidence $evidence,
        public ?Expectation $expects = null,
    ) {}
}
