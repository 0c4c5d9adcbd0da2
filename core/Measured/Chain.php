<?php

declare(strict_types=1);

namespace Tally\Measured;

use Tally\Chain\Ceiling;
use Tally\Chain\HostLink;
use Tally\Chain\Link;
use Tally\Chain\Path;
use Tally\Label\Bus;
use Tally\Label\Label;
use Tally\Quantity\Rate;
use Tally\Value\Alterable;
use Tally\Value\Key;

/**
 * The chain a figure was measured on, as it was: the reader, what its slot speaks, and its way to the host. On which bus
 * card and slot settled is no part of it: that is asked anew of every label, since a label may be corrected.
 */
final readonly class Chain
{
    use Alterable;

    /**
     * @param  string|null  $reader  by which it is found again; null where nobody named one
     * @param  list<Bus>  $slot  what the slot of the reader speaks
     * @param  Link|null  $host  the way from the reader to the host, as fast as its slowest part; null where nobody named it
     * @param  bool  $isCamera  whether the reader is a camera, which often gives far less than its port
     * @param  Instrument|null  $instrument  the bench that measured; null where nobody knows what it gives
     * @param  bool  $isMatch  whether the double rate of its slot is that of the card's own maker
     */
    public function __construct(
        public ?string $reader = null,
        public array $slot = [],
        public ?Link $host = null,
        #[Key('camera')]
        public bool $isCamera = false,
        #[Key('engine')]
        public ?Instrument $instrument = null,
        #[Key('match')]
        public bool $isMatch = false,
    ) {}

    public function at(?Instrument $instrument): self
    {
        return $this->with(instrument: $instrument);
    }

    /** Through a slot that speaks the double rate of the card's own maker. */
    public function matching(): self
    {
        return $this->with(isMatch: true);
    }

    /** Nobody told over what a figure was measured. */
    public static function unnamed(): self
    {
        return new self();
    }

    public static function over(string $reader, Bus $bus, HostLink $host, bool $isCamera = false): self
    {
        return new self($reader, [$bus], new Link($host->label(), $host->ceiling()), $isCamera);
    }

    public function isNamed(): bool
    {
        return $this->slot !== [] && $this->host !== null;
    }

    /** @return Path over the fastest bus that card and slot could share: for planning */
    public function fastest(Label $label): Path
    {
        return $this->path($label->settleIn($this->slot));
    }

    /**
     * @param  bool  $isMatch  whether its double rate is known to be the card's too
     * @return Path over the slowest bus that is plausible: for asking whose fault a shortfall is
     */
    public function surest(Label $label, bool $isMatch = false): Path
    {
        return $this->path($label->slowestIn($this->slot), $isMatch || $this->isMatch);
    }

    /** What no honest figure of such a card can exceed here, on paper: the lower of what its own bus and the chain carry. */
    public function mostOnPaper(Label $label): Ceiling
    {
        $bus = $label->fastestIn($this->isNamed() ? $this->slot : null);
        $own = $bus?->ceiling();
        $host = $this->host?->ceiling;

        return match (true) {
            $own === null => $host ?? new Ceiling(Rate::bytesPerSecond(Path::ENDLESS), null, 'unknown'),
            $host === null || ! $host->nominal->isBelow($own->nominal) => $own,
            default => $host,
        };
    }

    /** `R2, USB 10 Gb/s` */
    public function describe(): string
    {
        if (! $this->isNamed()) {
            return 'a chain nobody named';
        }

        $host = $this->host?->name;

        return implode(
            ', ',
            array_filter(
                [$this->reader, $this->isCamera ? 'a camera'.($host === null ? '' : " on {$host}") : $host],
                fn (?string $part): bool => $part !== null && $part !== '',
            ),
        );
    }

    private function path(?Bus $bus, bool $isMatch = false): Path
    {
        return $bus === null || $this->host === null
            ? Path::unnamed()
            : new Path([new Link("{$bus->label()} bus", $bus->ceiling($isMatch)), new Link($this->describe(), $this->host->ceiling)]);
    }
}
