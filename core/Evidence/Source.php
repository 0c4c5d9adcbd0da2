<?php

declare(strict_types=1);

namespace Tally\Evidence;

use Tally\Record\RunSource;

/** Where a piece of evidence comes from: the name by which it is found again, when it ended, and who measured. */
final readonly class Source
{
    /**
     * @param  string  $name  `run 12`
     * @param  string|null  $on  day or moment, as ISO 8601 writes it, so that later sorts behind; null where nobody told
     */
    public function __construct(
        public string $name,
        public ?string $on = null,
        public RunSource $by = RunSource::Device,
        public bool $isTyped = false,
    ) {}

    /** `run 12, typed in` */
    public function describe(): string
    {
        return $this->by->words() === '' ? $this->name : "{$this->name}, {$this->by->words()}";
    }

    /** Whether it is known to have ended before a moment. */
    public function isBefore(string $moment): bool
    {
        return $this->on !== null && $this->on < $moment;
    }
}
