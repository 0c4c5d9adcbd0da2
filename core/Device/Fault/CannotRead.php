<?php

declare(strict_types=1);

namespace Tally\Device\Fault;

use RuntimeException;

final class CannotRead extends RuntimeException implements DeviceFault
{
    public static function at(int $offset, int $length, string $where, string $why): self
    {
        return new self("Cannot read {$length} bytes at byte {$offset} of {$where}: {$why}.");
    }

    public static function file(string $file, string $why): self
    {
        return new self("Cannot read {$file}: {$why}.");
    }
}
