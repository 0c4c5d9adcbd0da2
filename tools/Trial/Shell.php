<?php

declare(strict_types=1);

namespace Tools\Trial;

use RuntimeException;
use Symfony\Component\Process\Process;

/** Asks the host for what a trial needs: images, loop devices, mounts. */
final readonly class Shell
{
    /** @throws RuntimeException with what the host said */
    public static function must(string $command): string
    {
        $asked = Process::fromShellCommandline($command, null, ['PATH' => '/usr/sbin:/usr/bin:/sbin:/bin'], timeout: 60);
        $asked->run();

        return $asked->isSuccessful()
            ? trim($asked->getOutput())
            : throw new RuntimeException("“{$command}” failed: ".trim($asked->getErrorOutput()));
    }

    public static function may(string $command): void
    {
        try {
            self::must($command);
        } catch (RuntimeException) {
            // It was tried.
        }
    }
}
