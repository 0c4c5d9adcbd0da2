<?php

declare(strict_types=1);

namespace Tally\Device\Host;

/**
 * Where a path leads just now. PHP remembers for two minutes where links led, which in a process that lives for days once had
 * the device erased that a link had pointed to before; nothing else in this house asks `realpath`.
 */
final class RealPath
{
    /** @return string|null null where it leads nowhere */
    public static function of(string $given): ?string
    {
        clearstatcache(true);
        $real = str_contains($given, "\0") ? false : realpath($given);

        return $real === false ? null : $real;
    }
}
