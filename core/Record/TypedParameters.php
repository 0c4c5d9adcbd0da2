<?php

declare(strict_types=1);

namespace Tally\Record;

use Tally\Value\Key;

/** What somebody typed of a speed that was measured elsewhere. */
final readonly class TypedParameters implements Parameters
{
    /** @param  list<TypedReading>  $readings */
    public function __construct(#[Key('typed')] public array $readings) {}

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
