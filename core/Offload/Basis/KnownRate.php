<?php

declare(strict_types=1);

namespace Tally\Offload\Basis;

use Tally\Chain\CeilingOrigin;
use Tally\Value\Alterable;

/** A rate that a plan is reckoned with: how it was got, and between what it may really lie. Bytes a second; files a second of previews. */
final readonly class KnownRate
{
    use Alterable {
        with as public;
    }

    /**
     * @param  string  $thing  card, reader, host or drive
     * @param  string  $in  reader of a card, port or controller of a host; empty where there is none
     * @param  string  $how  where the figure is from, in words
     * @param  float  $low  that it may be as well
     * @param  float  $high  that it may be as well
     */
    public function __construct(
        public RateOf $of,
        public string $thing,
        public string $in,
        public float $rate,
        public CeilingOrigin $origin,
        public string $how,
        public float $low,
        public float $high,
    ) {}

    /** What it is the rate of, to find it by. */
    public function key(): string
    {
        return self::keyOf($this->of, $this->thing, $this->in);
    }

    public static function keyOf(RateOf $of, string $thing, string $in = ''): string
    {
        return "{$of->value}\n{$thing}\n{$in}";
    }

    public function name(): string
    {
        return match ($this->of) {
            RateOf::Card => "reading of {$this->thing}",
            RateOf::CardIn => "reading of {$this->thing} in {$this->in}",
            RateOf::Slots => "slots of {$this->thing}",
            RateOf::Uplink => "link of {$this->thing}",
            RateOf::Port => "{$this->in} of {$this->thing}",
            RateOf::Controller => "controller {$this->in} of {$this->thing}",
            RateOf::DriveWrite => "writing to {$this->thing}",
            RateOf::DriveRead => "reading from {$this->thing}",
            RateOf::DriveLink => "link of {$this->thing}",
            RateOf::Previews => "previews on {$this->thing}",
        };
    }
}
