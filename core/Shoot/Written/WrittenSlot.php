<?php

declare(strict_types=1);

namespace Tally\Shoot\Written;

use Tally\Label\Bus;
use Tally\Shoot\CameraSlot;
use Tally\Value\ByHand;
use Tally\Value\WrongField;

/** A slot of a camera as it is written down. */
#[ByHand]
final readonly class WrittenSlot
{
    /** @var non-empty-list<WrittenBus> */
    private array $speaks;

    /**
     * @param  list<WrittenBus>  $buses
     *
     * @throws WrongField
     */
    public function __construct(private string $name = 'A', public array $buses = [])
    {
        $this->speaks = $buses === [] ? throw new WrongField('buses', 'say what the slot speaks, such as ["UHS-II"].') : $buses;
    }

    public static function of(CameraSlot $slot): self
    {
        return new self($slot->name, array_map(fn (Bus $bus): WrittenBus => new WrittenBus($bus), $slot->buses));
    }

    public function slot(): CameraSlot
    {
        return new CameraSlot($this->name, array_map(fn (WrittenBus $one): Bus => $one->bus, $this->speaks));
    }
}
