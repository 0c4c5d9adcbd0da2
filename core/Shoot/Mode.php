<?php

declare(strict_types=1);

namespace Tally\Shoot;

use Tally\Label\Bus;
use Tally\Quantity\Bytes;
use Tally\Quantity\NotAQuantity;
use Tally\Quantity\NumberText;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;
use Tally\Value\Alterable;

/** One way a camera records: what it writes, and what it asks for. */
final readonly class Mode
{
    use Alterable;

    public FillRate $fill;

    /**
     * @param  Rate  $nominal  what it writes, on paper
     * @param  Bytes|null  $shot  of stills, one of them
     * @param  float|null  $frames  a second
     * @param  Span|null  $clip  how long its takes are at the most; null for however long
     * @param  list<Calibration>  $calibrations
     * @param  Rate|null  $proxies  what its proxies write in the second slot; null where nobody said
     */
    public function __construct(
        public string $name,
        public ModeKind $kind,
        public Rate $nominal,
        public ?Bytes $shot = null,
        public ?float $frames = null,
        public Demand $demand = new Demand(),
        public Recording $recording = Recording::OneSlot,
        public ?Span $clip = null,
        public array $calibrations = [],
        public ?Rate $proxies = null,
    ) {
        $this->fill = FillRate::of($nominal, $calibrations);
    }

    /**
     * A rate as it is typed for a mode: with its unit, since cameras speak Mb/s and cards MB/s.
     *
     * @throws NotAQuantity
     */
    public static function rate(string $text): Rate
    {
        $rate = Rate::parse($text);

        return NumberText::read(trim($text))?->unit === '' ? throw NotAQuantity::bitsOrBytes(trim($text)) : $rate;
    }

    /** What cannot be in its figures, a sentence for whoever typed them; null where nothing is wrong. */
    public function complaint(): ?string
    {
        $most = self::fastestBus()->ceiling()->nominal;
        if ($most->isBelow($this->nominal)) {
            return "{$this->name}: {$this->nominal->print()} is more than any card carries; the fastest bus there is has ".
                "{$most->print()}. Cameras speak Mb/s: {$this->nominal->print()} is ".number_format($this->nominal->megabits()).' Mb/s.';
        }
        if ($this->clip !== null && $this->clip->seconds <= 0) {
            return "{$this->name}: takes of no length are none. Give how long they last at the most, such as 12 min, or leave it out.";
        }
        foreach ($this->calibrations as $said) {
            $slip = $said->slipOf($this->nominal);
            if (! $said->goesWith($this->nominal)) {
                $come = number_format($said->rate->megabits(), 1, '.', ' ').' Mb/s';
                $typed = number_format($this->nominal->megabits(), 1, '.', ' ').' Mb/s';

                return "{$this->name}: {$said->words()}, which comes to {$come}, and {$typed} was given for what it writes".
                    ($slip === null ? '. The two disagree: look at both again.' : ": looks like {$slip->taken()}.");
            }
        }

        return null;
    }

    private static function fastestBus(): Bus
    {
        $fastest = Bus::SdDefault;
        foreach (Bus::cases() as $bus) {
            $fastest = $fastest->ceiling()->nominal->isBelow($bus->ceiling()->nominal) ? $bus : $fastest;
        }

        return $fastest;
    }

    /** Stills that are taken steadily: so many bytes each, so many a second. */
    public static function stills(
        string $name,
        Bytes $shot,
        float $frames,
        Demand $demand = new Demand(),
        Recording $recording = Recording::OneSlot,
    ): self {
        return new self(
            $name,
            ModeKind::Stills,
            Rate::bytesPerSecond($shot->count * $frames),
            $shot,
            frames: $frames,
            demand: $demand,
            recording: $recording,
        );
    }

    /** Its proxies as a mode of their own, of which the camera asks nothing; null where it makes none or nobody said what they write. */
    public function ofProxies(): ?self
    {
        return $this->recording === Recording::Proxies && $this->proxies !== null
            ? new self("{$this->name}, proxies", ModeKind::LongGop, $this->proxies, frames: $this->frames, clip: $this->clip)
            : null;
    }

    public function asking(Demand $demand): self
    {
        return $this->with(demand: $demand);
    }

    /**
     * Whole shots on a card; null of a mode that takes none.
     *
     * @param  float  $usable  share of the capacity that may be taken
     */
    public function shots(Bytes $capacity, float $usable = 1.0): ?int
    {
        return $this->shot === null || $this->shot->isZero() ? null : (int) floor(($capacity->count * $usable) / $this->shot->count + 1e-9);
    }
}
