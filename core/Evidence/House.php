<?php

declare(strict_types=1);

namespace Tally\Evidence;

use Closure;
use Tally\Label\Finding;
use Tally\Measured\Reached;
use Tally\Reading\Thresholds;

/** What the house knows besides: of its readers, and of where a card comes from. */
final class House
{
    /**
     * @param  list<Finding>  $origin  what speaks against it besides: where it comes from, recordings that it stopped
     * @param  list<Reached>|(Closure(): list<Reached>)  $reached  what its readers were seen to carry: asked only where a link
     * does not clear itself
     * @param  (Closure(): list<Reach>)|null  $reaches  what the kit could show of the card, the fastest first: asked only where
     * a chain was too slow
     * @param  Thresholds  $by  where one judgement ends and the next begins
     */
    public function __construct(
        public readonly array $origin = [],
        private array|Closure $reached = [],
        private readonly ?Closure $reaches = null,
        public readonly Thresholds $by = new Thresholds(),
    ) {}

    /** @return list<Reached> */
    public function reached(): array
    {
        return $this->reached = $this->reached instanceof Closure ? ($this->reached)() : $this->reached;
    }

    /** @return list<Reach>|null null where no kit is known */
    public function reaches(): ?array
    {
        return $this->reaches === null ? null : ($this->reaches)();
    }
}
