<?php

declare(strict_types=1);

namespace Tools\Trial;

use RuntimeException;

/** A port on loopback that nothing answers at, so that trials and tests run beside any other copy of this project. */
final readonly class FreePort
{
    /** A port of loopback that nothing answers at. */
    public static function take(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        if ($socket === false) {
            throw new RuntimeException('No port is free on this machine.');
        }
        $name = (string) stream_socket_get_name($socket, false);
        fclose($socket);

        return (int) substr($name, (int) strrpos($name, ':') + 1);
    }
}
