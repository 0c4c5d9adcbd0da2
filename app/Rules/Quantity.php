<?php

declare(strict_types=1);

namespace App\Rules;

use Closure;
use Tally\Label\Label;
use Tally\Quantity\Bytes;
use Tally\Quantity\NotAQuantity;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;
use Tally\Quantity\Temperature;
use Tally\Shoot\Mode;

/** A size or a speed as people type it; the complaint is the core's own sentence. */
final readonly class Quantity extends TypedWord
{
    /** @param  Closure(string): mixed  $parse */
    private function __construct(private Closure $parse) {}

    /** A size of something that is there, so not nothing. */
    public static function size(): self
    {
        return new self(
            fn (string $text): Bytes => ($bytes = Bytes::parse($text, 'GB'))->isZero() ? throw NotAQuantity::notPositive($text) : $bytes,
        );
    }

    /** A capacity as a label may carry it. */
    public static function capacity(): self
    {
        return new self(
            fn (string $text): Bytes => match (true) {
                ($bytes = Bytes::parse($text, 'GB'))->isZero() => throw NotAQuantity::notPositive($text),
                $bytes->count > Label::MOST => throw NotAQuantity::moreThan($text, Bytes::of(Label::MOST)->decimal()),
                default => $bytes,
            },
        );
    }

    public static function amount(): self
    {
        return new self(fn (string $text): Bytes => Bytes::parse($text, 'GB'));
    }

    public static function rate(): self
    {
        return new self(Rate::parse(...));
    }

    /** A rate of a camera’s mode, with its unit: cameras speak Mb/s, cards MB/s. */
    public static function cameraRate(): self
    {
        return new self(Mode::rate(...));
    }

    public static function span(): self
    {
        return new self(Span::parse(...));
    }

    public static function temperature(): self
    {
        return new self(Temperature::parse(...));
    }

    protected function complaint(string $typed): ?string
    {
        try {
            ($this->parse)($typed);
        } catch (NotAQuantity $fault) {
            return $fault->getMessage();
        }

        return null;
    }
}
