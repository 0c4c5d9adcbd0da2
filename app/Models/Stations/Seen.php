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
    public function __construct(public ?Identity $medium = null, public ?string $refused = null, public array $parts = []) {}
}
