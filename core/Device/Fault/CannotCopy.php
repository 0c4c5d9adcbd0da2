<?php

declare(strict_types=1);

namespace Tally\Device\Fault;

use Tally\Device\Host\HostError;

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

    public static function unfinished(string $given): self
    {
        return new self(
            $given,
            'unfinished',
            "An offload into “{$given}” was not finished. Go on with it (--resume): what is whole there is not copied again.",
        );
    }

    public static function noLists(string $given, string $why): self
    {
        return new self(
            $given,
            'noLists',
            "Beside “{$given}” there is no list to hold it against ({$why}). Give the folder of a copy, such as /mnt/drive/QS-014, with ".
                'QS-014.sha256, QS-014.xxh128 or QS-014.copy.json beside it.',
        );
    }

    public static function noRoom(string $given, string $free, string $asked): self
    {
        return new self(
            $given,
            'noRoom',
            "“{$given}” has room for {$free}, less a little for the file system itself; the card needs {$asked}. Make room, or choose ".
                'another drive.',
        );
    }

    public static function differs(string $given): self
    {
        return new self(
            $given,
            'differs',
            "“{$given}” is there already and is another file. Nothing is ever overwritten: move it away, or choose another folder.",
        );
    }

    /** @param  string  $there  the file on the drive */
    public static function notCompared(string $file, string $there, HostError $error): self
    {
        return new self(
            $file,
            'notCompared',
            "“{$file}” cannot be read from the card ({$error->getMessage()}), so nobody can say whether “{$there}” is the same. ".
                'Nothing was written. Clean its contacts, insert it again, and go on.',
        );
    }

    public static function leadsOut(string $given, string $why): self
    {
        return new self($given, 'leadsOut', "“{$given}” leads out of its folder ({$why}). Nothing is written there.");
    }

    public static function tooLarge(string $file, string $drive, string $size): self
    {
        return new self(
            $drive,
            'tooLarge',
            "“{$file}” has {$size}, and “{$drive}” is FAT, which holds files of up to 4 GiB. Choose a drive with another file system.",
        );
    }

    /** @param  list<string>  $names */
    public static function oneName(array $names, string $drive): self
    {
        return new self(
            $drive,
            'oneName',
            '“'.implode('” and “', $names)."” are one name on “{$drive}”, which tells no upper from lower case. Rename one on the ".
                'card, or choose a drive with another file system.',
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

    public static function onTheCard(string $given, string $device): self
    {
        return new self(
            $given,
            'onTheCard',
            "“{$given}” lies on the card itself ({$device}): what is copied there is lost with it. Choose a folder on a drive.",
        );
    }

    public static function oneFolder(string $one, string $other): self
    {
        return new self(
            $other,
            'oneFolder',
            $one === $other
                ? "“{$other}” was given twice: two copies in one place are one. Give folders on different drives."
                : "“{$one}” and “{$other}” are one folder, spelt twice: two copies in one place are one. Give folders on different drives.",
        );
    }

    public static function driveMissing(string $given): self
    {
        return new self($given, 'missing', "There is no folder “{$given}” to copy into. Is that drive mounted? Mount it, or give another.");
    }

    public static function driveNoFolder(string $given): self
    {
        return new self($given, 'notAFolder', "“{$given}” is not a folder. Give the folder on the drive that copies go into.");
    }

    public static function driveChanged(string $given): self
    {
        return new self(
            $given,
            'driveChanged',
            "Something else is mounted at “{$given}” by now, or nothing is: what was written lies where it led before. Mount the drive ".
                'there, and copy again.',
        );
    }

    /** @param  string  $then  `sdb`: what lay there when it was chosen */
    public static function anotherDrive(string $given, string $then, string $now): self
    {
        return new self(
            $given,
            'anotherDrive',
            "What lies at “{$given}” is not the drive that was chosen: it was {$then}, and is {$now} now. Nothing was copied there. Mount ".
                'that drive, or choose another one.',
        );
    }

    public static function driveReadOnly(string $given): self
    {
        return new self(
            $given,
            'notWritable',
            "The drive at “{$given}” cannot be written to: it is mounted read-only, or this user may not write there. The card is not in ".
                'question.',
        );
    }

    public static function driveFull(string $given): self
    {
        return new self(
            $given,
            'noRoom',
            "The drive at “{$given}” is full: nothing can be begun there. Make room, or choose another drive.",
        );
    }

    /** @param  string  $doubt  a sentence */
    public static function notApart(string $given, string $doubt): self
    {
        return new self($given, 'notApart', "{$doubt} Choose a folder on another drive.");
    }
}
