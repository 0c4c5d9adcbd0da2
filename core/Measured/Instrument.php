<?php

declare(strict_types=1);

namespace Tally\Measured;

use Tally\Chain\Ceiling;
use Tally\Chain\Link;
use Tally\Quantity\Rate;

/**
 * The bench as a link of every chain: what its own engine gives on memory, where no card holds it back. Handbook § 6 rule 3.
 */
final readonly class Instrument
{
    /** A figure above so much of it may be the bench's own limit. */
    private const ITS_OWN = 0.7;

    /** @param  bool  $wasBusy  whether its processors had something else to do while it measured */
    public function __construct(public ?Rate $write, public ?Rate $read, public bool $wasBusy = false) {}

    public function of(Way $way): ?Rate
    {
        return $way === Way::Write ? $this->write : $this->read;
    }

    /** The first link of every chain; null where nobody knows what it gives. */
    public function link(Way $way): ?Link
    {
        $most = $this->of($way);

        return $most === null ? null : new Link('this bench’s own engine', Ceiling::measured($most, 'measured on memory at this bench'));
    }

    /** Whether a figure may be what the bench gives, and not what the card does. */
    public function mayHold(Rate $figure, Way $way): bool
    {
        $most = $this->of($way);

        return $this->wasBusy || ($most !== null && $figure->over($most) > self::ITS_OWN + 1e-9);
    }

    /** Why a shortfall is not the card's; empty where it holds nothing. */
    public function excuse(Rate $figure, Way $way): string
    {
        $most = $this->of($way);

        return match (true) {
            $this->wasBusy => 'This computer was busy with something else while it measured.',
            $most === null || ! $this->mayHold($figure, $way) => '',
            default => "This bench {$way->verb()} {$most->printDown()} at most: the figure may be its own limit.",
        };
    }
}
