<?php

declare(strict_types=1);

namespace App\Pages\House;

/** A station of another house. */
final readonly class KnownStationProps
{
    /**
     * @param  string  $key  its public key
     * @param  int  $runs  that it signed
     * @param  string|null  $revoked  by whom and when
     */
    public function __construct(public int $id, public string $name, public string $key, public int $runs, public ?string $revoked) {}
}
