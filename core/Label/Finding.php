<?php

declare(strict_types=1);

namespace Tally\Label;

/** One thing a label says that does not fit, or does not say. */
final readonly class Finding
{
    /**
     * @param  string  $id  stable, in kebab case, so that a house can refer to the rule
     * @param  bool  $convicts  whether a contradiction of this kind says by itself that the card is not what its label says;
     *                          one with the market alone does not
     */
    public function __construct(
        public string $id,
        public Severity $severity,
        public string $reason,
        public string $source,
        public bool $convicts = true,
    ) {}
}
