<?php

declare(strict_types=1);

namespace Tally\Buying;

use InvalidArgumentException;

/** What was typed is no price; the message says what would be. */
final class NotAPrice extends InvalidArgumentException
{
    public static function text(string $given): self
    {
        return new self("“{$given}” is not a price. Write an amount and its currency, such as 24.90 EUR.");
    }

    public static function currency(string $given): self
    {
        return new self("“{$given}” is not a currency. Write its three letters, such as EUR, GBP or USD.");
    }

    public static function dollars(string $given): self
    {
        return new self("“{$given}” could be dollars of several countries. Write the three letters: USD, CAD, AUD and so on.");
    }

    public static function tooFine(string $given, string $currency, int $digits): self
    {
        $most = $digits === 0 ? 'no places' : "{$digits} places";

        return new self("“{$given}” is finer than {$currency} is counted: it has {$most} after the point.");
    }

    public static function oneOrAThousand(string $given): self
    {
        return new self("“{$given}” could be a decimal comma or a thousands mark. Write it without the comma or with a point.");
    }

    public static function notPositive(string $given): self
    {
        return new self("“{$given}” is nothing. Leave the price empty when nothing was paid.");
    }

    public static function tooLarge(string $given): self
    {
        return new self("“{$given}” is more than a card can cost here. Check the amount.");
    }
}
