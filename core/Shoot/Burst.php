<?php

declare(strict_types=1);

namespace Tally\Shoot;

use InvalidArgumentException;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;

/**
 * A burst of stills until the camera slows, and the time it takes to clear. Handbook § 7: drain d = n·s ÷ (T + n/r), buffer
 * B = d·T; frames until slow n = B ÷ (s·(1 − d/(s·r))), endless where d ≥ s·r.
 */
final readonly class Burst
{
    /** No camera writes a larger frame. From memory. Bytes. */
    public const MOST = 10_000_000_000;

    /** MB/s. */
    private const SLOWEST = 0.1;

    private const FASTEST = 8000;

    /** @param  Rate  $drain  what goes out of the buffer while frames come in, and after */
    private function __construct(
        public Bytes $frame,
        public float $perSecond,
        public Rate $drain,
        public Bytes $buffer,
        public ?int $frames,
        public Span $clear,
    ) {}

    /**
     * As it was logged.
     *
     * @param  int  $frames  until it slowed
     * @param  Bytes  $frame  one of them
     * @param  float  $perSecond  frames
     * @param  Span  $clear  from when it slowed until everything was written
     */
    public static function logged(int $frames, Bytes $frame, float $perSecond, Span $clear): self
    {
        if ($frames < 1 || $frame->isZero() || $frame->count > self::MOST || $perSecond <= 0 || $clear->seconds <= 0) {
            throw new NotABurst($frames, $frame, $perSecond, $clear);
        }
        $drain = self::sane(Rate::bytesPerSecond(($frames * $frame->count) / ($clear->seconds + $frames / $perSecond)));

        return new self(
            $frame,
            $perSecond,
            $drain,
            Bytes::of((int) round($drain->bytesPerSecond * $clear->seconds)),
            frames: $frames,
            clear: $clear,
        );
    }

    /** What is to come of a buffer and a drain. */
    public static function predicted(Bytes $frame, float $perSecond, Bytes $buffer, Rate $drain): self
    {
        if ($frame->isZero() || $perSecond <= 0) {
            throw new NotABurst(0, $frame, $perSecond, Span::seconds(0));
        }
        $clear = Span::seconds($buffer->count / self::sane($drain)->bytesPerSecond);

        return new self(
            $frame,
            $perSecond,
            $drain,
            $buffer,
            frames: self::until($frame->count, $perSecond, $buffer->count, $drain),
            clear: $clear,
        );
    }

    /** What a body can drain onto a card: between what a memory stick took decades ago and what the fastest bus carries (from memory). */
    private static function sane(Rate $drain): Rate
    {
        return $drain->megabytes() < self::SLOWEST || $drain->megabytes() > self::FASTEST
            ? throw new InvalidArgumentException(
                "A buffer that drains at {$drain->print()} is none: a card takes from ".self::SLOWEST.' to '.self::FASTEST.' MB/s. '.
                    'Look at frames, size and time again, such as 12 of 24.6 MB in 23 s.',
            )
            : $drain;
    }

    /** It never slows: the drain keeps up with what comes in. */
    public function isEndless(): bool
    {
        return $this->frames === null;
    }

    /** How long frames come at full speed; null where it never slows. */
    public function lasts(): ?Span
    {
        return $this->frames === null ? null : Span::seconds($this->frames / $this->perSecond);
    }

    private static function until(int $frame, float $perSecond, int $buffer, Rate $drain): ?int
    {
        $kept = 1 - $drain->bytesPerSecond / ($frame * $perSecond);

        return $kept <= 0 ? null : (int) floor($buffer / ($frame * $kept) + 1e-6);
    }
}
