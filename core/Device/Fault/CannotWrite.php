<?php

declare(strict_types=1);

namespace Tally\Device\Fault;

use RuntimeException;
use Tally\Device\Host\HostError;

final class CannotWrite extends RuntimeException implements DeviceFault
{
    /**
     * @param  array{int, int}|null  $range  offset and length that were lost, where that is not the stretch just asked for
     */
    private function __construct(string $message, public readonly bool $full = false, public readonly ?array $range = null)
    {
        parent::__construct($message);
    }

    /** @param  int|null  $length  how much was lost, where that is only told after the next was asked for */
    public static function at(int $offset, string $where, string $why, ?int $length = null): self
    {
        return new self("Cannot write at byte {$offset} of {$where}: {$why}.", range: $length === null ? null : [$offset, $length]);
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
