<?php

declare(strict_types=1);

namespace Tally\Device\Fault;

use RuntimeException;

/** A folder that cannot be measured, and why. */
final class UnusablePath extends RuntimeException implements DeviceFault
{
    public static function missing(string $given): self
    {
        return new self("There is no folder “{$given}”. Give the folder where the card is mounted.");
    }

    public static function notAFolder(string $given): self
    {
        return new self("“{$given}” is not a folder. Give the folder where the card is mounted.");
    }

    public static function notWritable(string $given): self
    {
        return new self("“{$given}” cannot be written to. Check the card’s lock slider, and that it is not mounted read-only.");
    }

    public static function inUse(string $given): self
    {
        return new self("Another run is using “{$given}” now. Wait for it to end, or stop it.");
    }

    public static function tooSmall(string $given, string $free, string $asked): self
    {
        return new self("“{$given}” has {$free} to write to, after the reserve; {$asked} was asked for. Ask for less, or free some space.");
    }

    /** @param  list<string>  $allowed */
    public static function outside(string $given, array $allowed): self
    {
        $where = $allowed === [] ? 'none is allowed yet' : 'allowed are folders below '.implode(', ', $allowed);

        return new self("“{$given}” is outside the folders this station may write to: {$where}.");
    }

    public static function unreadable(string $given): self
    {
        return new self("“{$given}” cannot be read through: a folder in it refuses. Check its permissions.");
    }

    public static function emptyFolder(string $given): self
    {
        return new self("“{$given}” holds no files, so there is nothing to time. Choose a folder with files in it.");
    }

    public static function taken(string $given): self
    {
        return new self("“{$given}” is there already, and nothing is ever overwritten. Choose another folder to copy to, or move it away.");
    }

    public static function inside(string $target, string $source): self
    {
        return new self("“{$target}” lies inside “{$source}”: a folder cannot be copied into itself. Choose one elsewhere.");
    }
}
