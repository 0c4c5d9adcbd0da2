<?php

declare(strict_types=1);

namespace App\Pages\Offload;

/** A rate that is another by now than when a plan was made, both with their unit. */
final readonly class ChangedRateProps
{
    public function __construct(public string $name, public string $then, public string $now, public string $how) {}
}
