<?php

declare(strict_types=1);

namespace Tally\Measured;

use Tally\Chain\Ceiling;
use Tally\Chain\Link;
use Tally\Device\Load;
use Tally\Quantity\Rate;
use Tally\Value\Key;

/**
 * The bench as a link of every chain: what its own engine gives on memory, where no card holds it back. Handbook § 6 rule 3.
 */
final readonly class Instrument
{
    /** A figure above so much of it may be the bench's own limit. */
    private const ITS_OWN = 0.7;

    /**
     * @param  bool  $wasBusy  whether its processors had something else to do while it measured
     * @param  Load|null  $load  what they did; null where nobody looked
     */
    public function __construct(
        public ?Rate $write = null,
        public ?Rate $read = null,
        #[Key('busy')]
        public bool $wasBusy = false,
        public ?Load $load = null,
    ) {}

    public function during(Load $load): self
    {
        return new self($this->write, $this->read, $load->heldBack(), $load);
    }

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

    /** What it gives and what it had to do, as far as that is known. */
    public function words(): string
    {
        $gives = $this->write === null || $this->read === null
            ? null
            : "its engine gives {$this->write->printDown()} writing and {$this->read->printDown()} reading at most";

        return implode('; ', array_filter([$gives, $this->load?->words()], fn (?string $words): bool => $words !== null));
    }

    /** Whether a figure may be what the bench gives, and not what the card does. */
    public function mayHold(Rate $figure, Way $way): bool
    {
        $most = $this->of($way);

        return $this->wasBusy || ($most !== null && $figure->over($most) > self::ITS_OWN + 1e-9);
    }

    /** Which of the two a figure ran into, the bench or what is plugged in; empty where nobody knows what the bench gives. */
    public function ranInto(Rate $figure, Way $way): string
    {
        $most = $this->of($way);

        return match (true) {
            $this->mayHold($figure, $way) => $this->excuse($figure, $way),
            $most === null => '',
            default => "The card or its chain held it, not this bench, which {$way->verb()} {$most->printDown()} at most.",
        };
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
