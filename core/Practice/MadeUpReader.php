<?php

declare(strict_types=1);

namespace Tally\Practice;

use Random\Randomizer;
use Tally\Chain\HostLink;
use Tally\Label\Bus;
use Tally\Label\Label;
use Tally\Measured\Chain;
use Tally\Quantity\Rate;
use Tally\Value\Alterable;

/** A made-up reader on its cable: what its slot speaks, what it hangs on, and what the two give. */
final readonly class MadeUpReader
{
    use Alterable;

    private function __construct(public string $name, public Bus $bus, public HostLink $link, private float $slot, private float $cable) {}

    /** Each gives something between the low and the high end of what is seen in practice. */
    public static function drawn(string $name, Bus $bus, HostLink $link, Randomizer $chance): self
    {
        $between = function (float $low, float $high) use ($chance): float {
            return $low + (($high - $low) * $chance->getInt(0, 1000)) / 1000;
        };
        [$slot, $cable] = [$bus->ceiling(), $link->ceiling()];

        return new self(
            $name,
            $bus,
            $link,
            $between($slot->least()?->megabytes() ?? 0.0, $slot->usable()->megabytes()),
            cable: $between($cable->least()?->megabytes() ?? 0.0, $cable->usable()->megabytes()),
        );
    }

    /** Another one of the same kind. */
    public function twin(string $name): self
    {
        return $this->with(name: $name);
    }

    /** MB/s that a card gets that can do so much by itself. */
    public function of(float $card): float
    {
        return min($card, $this->slot, $this->cable);
    }

    /** The most that it gives. */
    public function most(): Rate
    {
        return Rate::megabytesPerSecond($this->of(INF));
    }

    /** What is slowest on this way, as the ceilings of the trade tell it. */
    public function pinch(Label $label): Holds
    {
        $path = $this->chain()->fastest($label);

        return $path->pinch() === $path->links[0] ? Holds::Slot : Holds::Link;
    }

    public function chain(): Chain
    {
        return Chain::over($this->name, $this->bus, $this->link);
    }

    /** `P2, UHS-I slot, USB 5 Gb/s` */
    public function describe(): string
    {
        return "{$this->name}, {$this->bus->label()} slot, {$this->link->label()}";
    }

    /** @return array{reader: string, bus: string, link: string} for a case */
    public function inCase(): array
    {
        return ['reader' => $this->name, 'bus' => $this->bus->value, 'link' => $this->link->value];
    }
}
