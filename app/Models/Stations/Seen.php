<?php

declare(strict_types=1);

namespace App\Models\Stations;

use Tally\Device\Identity;

/** What a station saw when it looked into a slot. */
final readonly class Seen
{
    /**
     * @param  Identity|null  $medium  null where nothing lies there
     * @param  string|null  $refused  why it cannot be used as it is
     * @param  list<Part>  $parts  of a raw medium: what of it is read as a file system
     */
    public function __construct(public ?Identity $medium, public ?string $refused = null, public array $parts = []) {}

    /** @return array<string, mixed> */
    public function pack(): array
    {
        return [
            'medium' => $this->medium?->pack(),
            'refused' => $this->refused,
            'parts' => array_map(fn (Part $part): array => $part->pack(), $this->parts),
        ];
    }

    /** @param  array<mixed>  $packed */
    public static function unpack(array $packed): self
    {
        return new self(
            is_array($packed['medium'] ?? null) ? Identity::unpack($packed['medium']) : null,
            is_string($packed['refused'] ?? null) ? $packed['refused'] : null,
            array_map(
                Part::unpack(...),
                array_values(array_filter(is_array($packed['parts'] ?? null) ? $packed['parts'] : [], is_array(...))),
            ),
        );
    }
}
