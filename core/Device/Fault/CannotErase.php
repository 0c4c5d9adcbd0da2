<?php

declare(strict_types=1);

namespace Tally\Device\Fault;

/** A medium that is not erased. */
final class CannotErase extends UnusablePath
{
    /** @param  string  $why  what speaks against erasing it, and what would do */
    public static function mustNotErase(string $given, string $why): self
    {
        return new self($given, 'mustNotErase', "“{$given}” is not erased: {$why}");
    }

    public static function mayWriteOver(string $path, string $tag, string $footage): self
    {
        return new self(
            $path,
            'mayWriteOver',
            "{$tag} carries {$footage} of footage that is not secured. On a card that starts over, what is written into free space ".
                'lands on its directories and clips. Bring it home first; or write why it may be lost.',
        );
    }
}
