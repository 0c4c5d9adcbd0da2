<?php

declare(strict_types=1);

namespace Tally\Device\Fault;

use RuntimeException;

final class CannotSettle extends RuntimeException implements DeviceFault
{
    public static function on(string $where, string $why): self
    {
        return new self("The host could not bring the data onto {$where}: {$why}.");
    }
}
