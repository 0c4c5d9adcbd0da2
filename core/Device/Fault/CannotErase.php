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
}
