<?php

declare(strict_types=1);

namespace Tally\Record;

use Tally\Measured\Way;
use Tally\Quantity\Accord;
use Tally\Quantity\Bytes;
use Tally\Quantity\NotAQuantity;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;

/** One figure that was measured elsewhere: a speed, or a size and a time, or all three. */
final readonly class TypedReading
{
    public function __construct(
        public Way $way,
        public ?Bytes $size = null,
        public ?Span $time = null,
        public ?Rate $speed = null,
    ) {}

    /**
     * @param  array<mixed>  $row  way, size, time, speed
     *
     * @throws NotAQuantity
     */
    public static function parse(array $row): self
    {
        $text = fn (string $key): ?string => is_string($row[$key] ?? null) && trim($row[$key]) !== '' ? $row[$key] : null;

        return new self(
            $text('way') === Way::Write->value ? Way::Write : Way::Read,
            $text('size') === null ? null : Bytes::parse($text('size'), 'GB'),
            $text('time') === null ? null : Span::parse($text('time')),
            $text('speed') === null ? null : Rate::parse($text('speed')),
        );
    }

    /** Size ÷ time where both are there, since they are what was measured; else the speed as typed. */
    public function rate(): ?Rate
    {
        return $this->size === null || $this->time === null || $this->time->seconds <= 0 || $this->size->isZero()
            ? $this->speed
            : Rate::ofTransfer($this->size, $this->time);
    }

    /** Null unless all three were typed. */
    public function accord(): ?Accord
    {
        return $this->size === null || $this->time === null || $this->speed === null
            ? null
            : Accord::of($this->size, $this->time, $this->speed);
    }
}
