<?php

declare(strict_types=1);

namespace App\Models\Runs;

/** How fast a run went all along, as it lies in a file: end offset and bytes a second, or seconds and °C. */
final readonly class Traces
{
    /**
     * @param  list<array{float, float}>  $write
     * @param  list<array{float, float}>  $read
     * @param  list<array{float, float}>|null  $heat
     */
    public function __construct(public array $write = [], public array $read = [], public ?array $heat = null) {}

    /** @return array{write: list<array{float, float}>, read: list<array{float, float}>, heat?: list<array{float, float}>} */
    public function all(): array
    {
        return ['write' => $this->write, 'read' => $this->read, ...$this->heat === null ? [] : ['heat' => $this->heat]];
    }
}
