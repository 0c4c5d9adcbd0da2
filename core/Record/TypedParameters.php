<?php

declare(strict_types=1);

namespace Tally\Record;

/** What somebody typed of a speed that was measured elsewhere. */
final readonly class TypedParameters implements Parameters
{
    /** @param  list<TypedReading>  $readings */
    public function __construct(public array $readings) {}

    public static function unpack(Fields $record): self
    {
        return new self(array_map(TypedReading::unpack(...), $record->rows('typed')));
    }

    public function pack(): array
    {
        return [
            'size' => 0,
            'runs' => count($this->readings),
            'typed' => array_map(fn (TypedReading $one): array => $one->pack(), $this->readings),
        ];
    }

    public function rounds(): int
    {
        return max(1, count($this->readings));
    }

    /** @return list<string> where size, time and speed were all typed, how they go together */
    public function words(): array
    {
        $said = array_map(fn (TypedReading $one): ?string => $one->accord()?->sentence(), $this->readings);

        return array_values(array_filter($said, is_string(...)));
    }
}
