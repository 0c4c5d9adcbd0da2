<?php

declare(strict_types=1);

namespace App\Pages\Offload;

/** How busy a piece of gear, or a card, is in a plan. */
final readonly class LoadProps
{
    /**
     * @param  float  $share  of the time until all is done, at its full ceiling
     * @param  string  $kind  Card, Drive, Lane, Uplink, Port, Controller, Hash or Previews
     */
    public function __construct(public string $name, public float $share, public string $kind) {}
}
