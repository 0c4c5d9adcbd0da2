<?php

declare(strict_types=1);

namespace Tally\Practice;

/** One thing to do next, how long it takes, and what comes of it. */
final readonly class Move
{
    /**
     * @param  string  $id  unlike that of any other move of its exercise
     * @param  array<string, mixed>|null  $run  as a case tells it, but for its moment; null where there is only something to see
     */
    public function __construct(
        public string $id,
        public MoveKind $kind,
        public ?MadeUpReader $reader,
        public int $seconds,
        public ?array $run,
    ) {}

    public function words(): string
    {
        return $this->kind->words().($this->reader === null ? '' : ", over {$this->reader->name}");
    }
}
