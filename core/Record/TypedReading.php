<?php

declare(strict_types=1);

namespace Tally\Record;

use Tally\Quantity\Accord;
use Tally\Quantity\Bytes;
use Tally\Quantity\NotAQuantity;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;

/** One figure that was measured elsewhere: a speed, or a size and a time, or all three. */
final readonly class TypedReading
{
    public function __construct(public string $way, public ?Bytes $size, public ?Span $time, public ?Rate $speed) {}

    /**
     * @param  array<mixed>  $row  way, size, time, speed
     *
     * @throws NotAQuantity
     */
    public static function parse(array $row): self
    {
        $text = fn (string $key): ?string => is_string($row[$key] ?? null) && trim($row[$key]) !== '' ? $row[$key] : null;

        return new self(
            $text('way') === 'write' ? 'write' : 'read',
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

    /** @throws NotUsable */
    public static function unpack(Fields $row): self
    {
        $way = $row->text('way');

        return new self(
            in_array($way, ['write', 'read'], true) ? $way : throw $row->wrong('way', '“write” or “read” would do.'),
            $row->has('size') ? Bytes::of($row->count('size')) : null,
            $row->has('time') ? Span::seconds($row->number('time')) : null,
            $row->has('speed') ? $row->rate('speed') : null,
        );
    }

    /** @return array<string, string|int|float|null> */
    public function pack(): array
    {
        return [
            'way' => $this->way,
            'size' => $this->size?->count,
            'time' => $this->time?->seconds,
            'speed' => $this->speed?->bytesPerSecond,
        ];
    }
}
