<?php

declare(strict_types=1);

namespace Tally\Transfer;

use InvalidArgumentException;

/** A place beneath a folder, such as `DCIM/100/A0001.MOV`: never the folder itself, and never out of it. */
final readonly class FilePath
{
    private function __construct(public string $path) {}

    /** @throws InvalidArgumentException when it leads elsewhere */
    public static function of(string $path): self
    {
        foreach (explode('/', $path) as $part) {
            if ($part === '' || $part === '.' || $part === '..' || str_contains($part, "\0")) {
                throw new InvalidArgumentException(
                    '“'.self::shown($path).'” leads out of its folder, or nowhere. A name such as DCIM/100/A0001.MOV would do.',
                );
            }
        }

        return new self($path);
    }

    /** A name as it can be shown: bytes that are no letters, and letters that would move the pen, stand as they are numbered. */
    public static function shown(string $path): string
    {
        $path = mb_check_encoding($path, 'UTF-8')
            ? $path
            : (string) preg_replace_callback('/[\x80-\xFF]/', fn (array $byte): string => sprintf('\\x%02X', ord($byte[0])), $path);

        return (string) preg_replace_callback('/[\x00-\x1F\x7F]/', fn (array $byte): string => sprintf('\\x%02X', ord($byte[0])), $path);
    }
}
