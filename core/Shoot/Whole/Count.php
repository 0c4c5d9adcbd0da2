<?php

declare(strict_types=1);

namespace Tally\Shoot\Whole;

use Tally\Quantity\Bytes;
use Tally\Quantity\NotAQuantity;
use Tally\Quantity\Span;
use Tally\Shoot\Mode;

/**
 * How recordings of a mode are counted: by the second, stills by the shot. Seconds are summed and said in whole minutes, as cameras
 * show what is left: eleven cards of 2 min 33 s are 28 min.
 */
final readonly class Count
{
    /** A shot of a fast series stands for so many seconds, where what is missing is weighed. Chosen, no source. */
    private const LEAST_PACE = 1;

    private const MINUTE = 60;

    private function __construct(public Mode $mode, public bool $isShots) {}

    public static function of(Mode $mode): self
    {
        return new self($mode, $mode->shot !== null && ! $mode->shot->isZero());
    }

    /** Seconds or shots on so much of a card, cut. */
    public function on(Bytes $capacity, float $usable): int
    {
        return $this->isShots
            ? (int) $this->mode->shots($capacity, $usable)
            : (int) floor($this->mode->fill->lasts($capacity, $usable)->seconds + 1e-6);
    }

    /**
     * What is typed for a day: a length such as `3 h`, of stills also a number of shots; nothing is none.
     *
     * @throws NotAQuantity
     */
    public function read(string $text): int
    {
        $number = preg_match('/^(\d[\d ]{0,9})(?: *shots)?$/', $text, $found) === 1 ? (int) str_replace(' ', '', $found[1]) : null;
        if ($number !== null && $number > 0 && ! $this->isShots) {
            throw NotAQuantity::span($text);
        }

        return $text === '' ? 0 : $number ?? $this->lasting(Span::parse($text));
    }

    /** Of a length that is asked for: never fewer. */
    public function lasting(Span $length): int
    {
        $frames = $this->mode->frames ?? 1.0;

        return (int) ceil($length->seconds * ($this->isShots ? $frames : 1.0) - 1e-6);
    }

    /** What is needed of it: whole minutes, or shots, and never fewer. */
    public function needed(float $count): int
    {
        $each = $this->isShots ? 1 : self::MINUTE;

        return $each * (int) ceil($count / $each - 1e-6);
    }

    /** Seconds that one of them stands for, where recordings and shots are weighed against each other. */
    public function weight(): int
    {
        return $this->isShots ? max(self::LEAST_PACE, (int) round(1 / ($this->mode->frames ?? 1.0))) : 1;
    }

    public function bytes(int $count): Bytes
    {
        return $this->isShots && $this->mode->shot !== null
            ? Bytes::of($this->mode->shot->count * $count)
            : Bytes::of((int) round($this->mode->fill->rate->bytesPerSecond * $count));
    }

    /** Minutes, cut, or shots. */
    public function said(int $count): int
    {
        return $this->isShots ? $count : intdiv($count, self::MINUTE);
    }

    public function unit(): string
    {
        return $this->isShots ? 'shots' : 'min';
    }

    /** What a card holds, or a place needs. */
    public function words(int $count): string
    {
        return number_format($this->said($count), 0, '.', ' ')." {$this->unit()}";
    }

    /** What is missing: never less than that. */
    public function atLeast(int $count): string
    {
        return $this->words($this->needed($count));
    }
}
