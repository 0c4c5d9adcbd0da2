<?php

declare(strict_types=1);

namespace Tally\Device\Fault;

use Tally\Device\Host\HostError;

/** A medium or folder that a run cannot begin on. */
final class CannotOpen extends UnusablePath
{
    public static function missing(string $given): self
    {
        return new self($given, 'missing', "There is no folder “{$given}”. Give the folder where the card is mounted.");
    }

    public static function notAFolder(string $given): self
    {
        return new self($given, 'notAFolder', "“{$given}” is not a folder. Give the folder where the card is mounted.");
    }

    public static function notWritable(string $given): self
    {
        return new self(
            $given,
            'notWritable',
            "“{$given}” cannot be written to. Check the card’s lock slider, and that it is not mounted read-only.",
        );
    }

    public static function inUse(string $given): self
    {
        return new self($given, 'inUse', "Another run is using “{$given}” now. Wait for it to end, or stop it.");
    }

    public static function tooSmall(string $given, string $free, string $asked): self
    {
        return new self(
            $given,
            'tooSmall',
            "“{$given}” has {$free} to write to, after the reserve; {$asked} was asked for. Ask for less, or free some space.",
        );
    }

    /** @param  list<string>  $allowed */
    public static function outside(string $given, array $allowed): self
    {
        $where = $allowed === [] ? 'none is allowed yet' : 'allowed are folders below '.implode(', ', $allowed);

        $line = implode(':', [...array_filter($allowed, fn (string $one): bool => ! str_ends_with($one, '/.run/cards')), $given]);

        return new self(
            $given,
            'outside',
            "“{$given}” is outside the folders this station may write to: {$where}. If it is meant, whoever looks after the station ".
                "changes this line of .env: TALLY_FOLDERS={$line}",
        );
    }

    public static function notMounted(string $given): self
    {
        return new self(
            $given,
            'notMounted',
            "No card is mounted at “{$given}”: it is a plain folder on this host’s own disk. Put the card in and mount it there. If ".
                'a plain folder is meant, whoever looks after the station adds it to TALLY_PLAIN_FOLDERS in .env.',
        );
    }

    public static function partOfMedium(string $given, string $point): self
    {
        return new self(
            $given,
            'partOfMedium',
            "“{$given}” is a folder within the medium that is mounted at {$point}. Give that place itself, so that what is measured ".
                'is the whole medium.',
        );
    }

    public static function onHostsDisk(string $given): self
    {
        return new self(
            $given,
            'onHostsDisk',
            "“{$given}” lies on this host’s own disk: is the drive mounted? If the host’s disk is meant, whoever looks after the ".
                'station adds the folder to TALLY_PLAIN_FOLDERS in .env.',
        );
    }

    public static function unreadable(string $given): self
    {
        return new self($given, 'unreadable', "“{$given}” cannot be read through: a folder in it refuses. Check its permissions.");
    }

    public static function noMedium(string $given): self
    {
        return new self($given, 'noMedium', "There is no device or image “{$given}”. Give one such as /dev/sdx, or an image file.");
    }

    /** @param  int  $error  of the host; source: errno(3) */
    public static function cannotOpen(string $given, int $error): self
    {
        return new self(
            $given,
            'cannotOpen',
            match ($error) {
                13, 1 => "“{$given}” may not be opened by this user. Run it as a user who may write to the device.",
                16 => "“{$given}” is in use by the host: mounted, or part of a volume. Unmount it first.",
                30 => "“{$given}” is write-protected. Check the card’s lock slider.",
                123, 6 => "There is no card in “{$given}”.",
                21 => "“{$given}” is a folder. Leave --raw out to prove a card in its mounted folder.",
                default => "“{$given}” cannot be opened: ".HostError::word($error).'.',
            },
        );
    }

    public static function turned(string $given): self
    {
        return new self(
            $given,
            'turned',
            "“{$given}” turned into another medium while it was being checked. Nothing was written. Look at what is plugged in, and ".
                'begin again.',
        );
    }

    /** @param  string  $difference  how it is another, as Identity tells it */
    public static function notAsOrdered(string $place, string $difference): self
    {
        return new self(
            $place,
            'notAsOrdered',
            "{$place} does not hold what it held when the run was ordered: {$difference}. Nothing was written. Look what is in it, ".
                'and order the run again.',
        );
    }

    public static function noLargeFile(string $given, string $size): self
    {
        return new self(
            $given,
            'noLargeFile',
            "The file system of “{$given}” cannot lay out one file of {$size} beforehand (FAT stops at 4 GB, and some cannot do it ".
                'at all). Ask for less with a size, prove it in full, or screen the raw card.',
        );
    }
}
