<?php

declare(strict_types=1);

namespace Tally\Device\Fault;

use RuntimeException;
use Tally\Device\Host\HostError;

/** The host did not do what it was asked for, for a reason of its own: no right, read-only by now, no more open files. */
final class HostRefused extends RuntimeException implements EndsRun
{
    /** What the run wrote cannot have been shortened by the medium: the host would still know how long it was. */
    public static function changed(string $where): self
    {
        return new self(
            "Files that the run wrote on {$where} were removed or cut short by something else. The run was ended; what it had found ".
            'stays, and the card is not blamed.',
        );
    }

    public static function on(string $where, HostError $error): self
    {
        return $error->errno === HostError::ENOENT
            ? self::changed($where)
            : new self(
                match (true) {
                    $error->isReadOnly() => "{$where} has become read-only while it was used: its lock slider, or the host, which ".
                        'does so after errors. The run was ended; what it had found stays.',
                    in_array($error->errno, [HostError::EACCES, HostError::EPERM], true) => 'The host no longer lets this program '.
                        "use {$where}: {$error->getMessage()}. The run was ended; what it had found stays.",
                    default => "The host could not {$error->call} on {$where}: {$error->getMessage()}. The run was ended; what it ".
                        'had found stays, and the card is not blamed.',
                },
            );
    }
}
