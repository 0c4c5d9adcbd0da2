<?php

declare(strict_types=1);

namespace Tally\Device\Fault;

/** A folder or file that cannot be copied. */
final class CannotCopy extends UnusablePath
{
    public static function cannotBeNamed(string $name, string $where, string $why): self
    {
        return new self(
            $where,
            'cannotBeNamed',
            "“{$where}” cannot hold a file of the name “{$name}”: {$why}. Rename it on the card, or choose a drive with another ".
                'file system. What was copied before stays.',
        );
    }

    public static function emptyFolder(string $given): self
    {
        return new self($given, 'emptyFolder', "“{$given}” holds no files, so there is nothing to time. Choose a folder with files in it.");
    }

    public static function taken(string $given): self
    {
        return new self(
            $given,
            'taken',
            "“{$given}” is there already, and nothing is ever overwritten. Choose another folder to copy to, or move it away.",
        );
    }

    public static function inside(string $target, string $source): self
    {
        return new self(
            $target,
            'inside',
            "“{$target}” lies inside “{$source}”: a folder cannot be copied into itself. Choose one elsewhere.",
        );
    }
}
