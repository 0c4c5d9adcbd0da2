<?php

declare(strict_types=1);

namespace App\Photos;

use RuntimeException;
use Tally\Quantity\Bytes;

/** What was sent is no picture that can be kept; the message says what would be. */
final class NotAPhoto extends RuntimeException
{
    public static function tooLarge(string $name, int $bytes, int $most): self
    {
        return new self(
            "“{$name}” is ".
                Bytes::of($bytes)->decimal().
                '; a photo may be '.
                Bytes::of($most)->decimal().
                ' at most. Send a smaller one.',
        );
    }

    public static function otherKind(string $name): self
    {
        return new self("“{$name}” is no picture inside, whatever its name says. Send a JPEG, PNG or WebP.");
    }

    public static function tooManyPixels(string $name, int $width, int $height): self
    {
        return new self("“{$name}” is {$width} × {$height} pixels, more than 40 million. Send a smaller one.");
    }

    public static function broken(string $name): self
    {
        return new self("“{$name}” begins like a picture but cannot be read to its end. Send it again, or another one.");
    }
}
