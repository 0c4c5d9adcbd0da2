<?php

declare(strict_types=1);

namespace Tally\Device\Fault;

use RuntimeException;
use Tally\Device\Host\HostError;

final class CannotWrite extends RuntimeException implements DeviceFault
{
    private function __construct(string $message, public readonly bool $full = false)
    {
        parent::__construct($message);
    }

    public static function at(int $offset, string $where, string $why): self
    {
        return new self("Cannot write at byte {$offset} of {$where}: {$why}.");
    }

    public static function full(int $offset, string $where): self
    {
        return new self("{$where} was full after {$offset} bytes: something else took the free space.", true);
    }

    public static function folder(string $where, HostError $error): self
    {
        return new self("Cannot write in {$where}: {$error->getMessage()}.", $error->isFull());
    }
}
