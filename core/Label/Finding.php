<?php

declare(strict_types=1);

namespace Tally\Label;

/** One thing a label says that does not fit, or does not say. */
final readonly class Finding
{
    /** @param  string  $id  stable, in kebab case, so that a house can refer to the rule */
    public function __construct(
        public string $id,
        public Severity $severity,
        public string $reason,
        public string $source,
    ) {}
}
