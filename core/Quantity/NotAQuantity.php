<?php

declare(strict_types=1);

namespace Tally\Quantity;

use InvalidArgumentException;

/** What was typed is not the quantity that was asked for; the message says what would be. */
final class NotAQuantity extends InvalidArgumentException
{
    public static function size(string $given): self
    {
        return new self("“{$given}” is not a size. Write a number and a unit in bytes, such as 32 GB, 29.8 GiB or 512 MB.");
    }

    public static function sizeInBits(string $given): self
    {
        return new self("“{$given}” is in bits. Sizes are in bytes: write GB for gigabytes, or divide gigabits by 8.");
    }

    public static function fractionOfAByte(string $given): self
    {
        return new self("“{$given}” is not a whole number of bytes. Give it with a unit, such as 3.7 GB.");
    }

    public static function tooLarge(string $given): self
    {
        return new self("“{$given}” is larger than this program counts (9.2 EB). Check the unit.");
    }

    public static function rate(string $given): self
    {
        return new self("“{$given}” is not a speed. Write a number and a unit, such as 95 MB/s, 760 Mb/s, 90 MiB/s or 800x.");
    }

    public static function bitsOrBytes(string $given): self
    {
        return new self(
            "“{$given}” could be megabits or megabytes. Write a capital B for bytes (MB/s) or a small b after a capital M for bits (Mb/s).",
        );
    }

    public static function span(string $given): self
    {
        return new self("“{$given}” is not a length of time. Write minutes and seconds as 4:42, or 14m51s, 33 min, 3.7 s.");
    }

    public static function notPositive(string $given): self
    {
        return new self("“{$given}” is zero or less. Give a figure above zero.");
    }

    public static function moreThan(string $given, string $most): self
    {
        return new self("“{$given}” is more than {$most}, and no card holds that. Look at its unit again.");
    }

    public static function oneOrAThousand(string $given): self
    {
        return new self("“{$given}” could be a decimal comma or a thousands mark. Write it without the comma or with a point.");
    }

    public static function temperature(string $given): self
    {
        return new self("“{$given}” is not a temperature from −40 to 150 °C. Write 52, 52 °C or 126 °F.");
    }
}
