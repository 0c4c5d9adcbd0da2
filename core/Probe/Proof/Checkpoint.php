<?php

declare(strict_types=1);

namespace Tally\Probe\Proof;

use InvalidArgumentException;
use Tally\Quantity\Bytes;
use Tally\Reading\BlockMap;
use Tally\Reading\Course\SustainedFloor;

/** Where a proof can be taken up again: what is surely on the medium, and what of it was read back. */
final readonly class Checkpoint
{
    /**
     * @param  int  $imprint  number of the pattern
     * @param  int  $written  bytes from the start that were written and brought down
     * @param  bool  $allWritten  whether the write pass is at its end
     * @param  int  $read  bytes from the start that were read back
     * @param  array<int, int>  $refused  offset → length of what the device refused to write
     * @param  list<array{float, float}>  $writeTrace
     * @param  list<array{float, float}>  $readTrace
     * @param  float  $writing  seconds spent so far
     * @param  array{float, float}|null  $lowestWindow  bytes from the start: where the lowest window of writing begins and ends
     */
    public function __construct(
        public int $imprint,
        public Bytes $size,
        public int $written = 0,
        public bool $allWritten = false,
        public int $read = 0,
        public BlockMap $core = new BlockMap(),
        public array $refused = [],
        public array $writeTrace = [],
        public array $readTrace = [],
        public float $writing = 0.0,
        public float $reading = 0.0,
        public bool $lookBack = true,
        public ?array $lowestWindow = null,
    ) {}

    public function lowest(): ?SustainedFloor
    {
        return $this->lowestWindow === null
            ? null
            : SustainedFloor::met($this->lowestWindow[0], $this->lowestWindow[1], SustainedFloor::WINDOW);
    }

    /** @return array<string, mixed> for JSON; numbers above 2⁵³ as text */
    public function pack(): array
    {
        return [
            'imprint' => (string) $this->imprint,
            'size' => $this->size->count,
            'written' => $this->written,
            'all_written' => $this->allWritten,
            'read' => $this->read,
            'core' => $this->core->pack(),
            'refused' => $this->refused,
            'write_trace' => $this->writeTrace,
            'read_trace' => $this->readTrace,
            'writing' => $this->writing,
            'reading' => $this->reading,
            'look_back' => $this->lookBack,
            'lowest' => $this->lowestWindow,
        ];
    }

    /**
     * @param  array<mixed>  $packed
     *
     * @throws InvalidArgumentException when it is none
     */
    public static function unpack(array $packed): self
    {
        $number = function (string $key) use ($packed): int {
            $value = $packed[$key] ?? null;

            return is_numeric($value) && $value >= 0
                ? (int) $value
                : throw new InvalidArgumentException(
                    "The checkpoint is not one of ours: its “{$key}” is missing or no number. Start a new proof.",
                );
        };
        $refused = [];
        foreach (is_array($packed['refused'] ?? null) ? $packed['refused'] : [] as $offset => $length) {
            $refused[(int) $offset] = is_numeric($length) ? (int) $length : 0;
        }

        return new self(
            max(1, $number('imprint')),
            Bytes::of($number('size')),
            $number('written'),
            ($packed['all_written'] ?? false) === true,
            $number('read'),
            BlockMap::unpack(is_array($packed['core'] ?? null) ? $packed['core'] : []),
            $refused,
            self::trace($packed['write_trace'] ?? null),
            self::trace($packed['read_trace'] ?? null),
            is_numeric($packed['writing'] ?? null) ? (float) $packed['writing'] : 0.0,
            is_numeric($packed['reading'] ?? null) ? (float) $packed['reading'] : 0.0,
            ($packed['look_back'] ?? true) === true,
            self::trace([$packed['lowest'] ?? null])[0] ?? null,
        );
    }

    /** The same proof with everything still to be read back: after a card was taken out and put in again. */
    public function readAnew(): self
    {
        return new self(
            $this->imprint,
            $this->size,
            $this->written,
            true,
            0,
            new BlockMap(),
            $this->refused,
            $this->writeTrace,
            [],
            $this->writing,
            0.0,
            $this->lookBack,
            $this->lowestWindow,
        );
    }

    /** @return list<array{float, float}> */
    private static function trace(mixed $points): array
    {
        $trace = [];
        foreach (is_array($points) ? $points : [] as $point) {
            if (is_array($point) && is_numeric($point[0] ?? null) && is_numeric($point[1] ?? null)) {
                $trace[] = [(float) $point[0], (float) $point[1]];
            }
        }

        return $trace;
    }
}
