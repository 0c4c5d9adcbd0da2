<?php

declare(strict_types=1);

namespace Tally\Shoot\Whole;

use Tally\Quantity\Bytes;
use Tally\Quantity\NotAQuantity;
use Tally\Quantity\Span;
use Tally\Shoot\Mode;

/** How recordings of a mode are counted: whole minutes, as cameras show what is left; stills by the shot. */
final readonly class Count
{
    /** A shot of a fast series stands for so many seconds, where what is missing is weighed. Chosen, no source. */
    private const LEAST_PACE = 1;

    private function __construct(public Mode $mode, public bool $isShots) {}

    public static function of(Mode $mode): self
    {
        return new self($mode, $mode->shot !== null && ! $mode->shot->isZero());
    }

    /** Minutes or shots on so much of a card; minutes cut, as the minutes sheet has them. */
    public function on(Bytes $capacity, float $usable): int
    {
        return $this->isShots
            ? (int) $this->mode->shots($capacity, $usable)
            : $this->mode->fill->minutes($capacity, $usable);
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

        return (int) ceil(($this->isShots ? $length->seconds * $frames : $length->seconds / 60) - 1e-6);
    }

    /** Seconds that one of them stands for, where minutes and shots are weighed against each other. */
    public function weight(): int
    {
        return $this->isShots ? max(self::LEAST_PACE, (int) round(1 / ($this->mode->frames ?? 1.0))) : 60;
    }

    public function bytes(int $count): Bytes
    {
        return $this->isShots && $this->mode->shot !== null
            ? Bytes::of($this->mode->shot->count * $count)
            : Bytes::of((int) round($this->mode->fill->rate->bytesPerSecond * 60 * $count));
    }

    public function words(int $count): string
    {
        return number_format($count, 0, '.', ' ').($this->isShots ? ' shots' : ' min');
    }
}
