<?php

declare(strict_types=1);

namespace Tally\Offload;

use Closure;
use Tally\Offload\Question\Question;

/** One thing that could be different, and how the question reads with it. */
final readonly class Proposal
{
    /**
     * @param  string  $of  the piece of gear that it is about; empty where it is about none
     * @param  Closure(Question): Question  $make
     */
    public function __construct(public Change $change, public string $of, public Closure $make) {}

    public function key(): string
    {
        return trim("{$this->change->value} {$this->of}");
    }

    public function words(): string
    {
        return $this->change->words($this->of);
    }
}
