<?php

declare(strict_types=1);

namespace Tally\Record;

/** How a timed copy was asked for; of one by stopwatch nothing is known. */
final readonly class CopyParameters implements Parameters
{
    public function __construct(public string $source = '', public string $into = '', public bool $verify = false) {}

    public static function unpack(Fields $record): self
    {
        return new self($record->text('source', ''), $record->text('into', ''), $record->boolean('verify'));
    }

    public function pack(): array
    {
        return ['size' => 0, 'runs' => 1, 'source' => $this->source, 'into' => $this->into, 'verify' => $this->verify];
    }

    public function rounds(): int
    {
        return 1;
    }
}
