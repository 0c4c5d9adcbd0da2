<?php

declare(strict_types=1);

namespace Tally\Shoot\Whole;

use Tally\Label\Bus;
use Tally\Quantity\Rate;
use Tally\Shoot\Ability;
use Tally\Shoot\CameraSlot;
use Tally\Shoot\MayIt;
use Tally\Shoot\Mode;

/** Where cards go: a slot of a camera, or any of its slots one after the other, in one mode. */
final readonly class Place
{
    public Count $count;

    /**
     * @param  Mode  $writes  what is written there
     * @param  non-empty-list<CameraSlot>  $slots
     * @param  int  $need  seconds or shots until cards come home; of a spare, one card
     */
    public function __construct(
        public Wanted $wanted,
        public Mode $writes,
        public PlaceKind $kind,
        public array $slots,
        public int $need,
    ) {
        $this->count = Count::of($writes);
    }

    public function isSpare(): bool
    {
        return $this->kind === PlaceKind::Spare;
    }

    /** `C1 4K 60`, `C1 4K 60, a spare`. */
    public function name(): string
    {
        $what = $this->kind->label();

        return "{$this->wanted->camera->tag} {$this->wanted->mode->name}".($what === '' ? '' : ", {$what}");
    }

    /** `90 min`, `1 card`. */
    public function needs(): string
    {
        return $this->isSpare() ? '1 card' : $this->count->words($this->need);
    }

    /** @return list<Bus> */
    public function buses(): array
    {
        return array_merge(...array_map(fn (CameraSlot $slot): array => $slot->buses, $this->slots));
    }

    public function asks(float $margin): MayIt
    {
        return new MayIt($this->writes, $this->buses(), $margin);
    }

    public function rate(): Rate
    {
        return $this->writes->fill->rate;
    }

    /** The slots that take a card, in turn: where a camera goes from slot to slot, every other card is for the other one. */
    public function slotFor(Ability $card, int $turn): string
    {
        $take = array_values(array_filter($this->slots, fn (CameraSlot $slot): bool => $card->label->settleIn($slot->buses) !== null));

        return $take === [] ? '' : $take[$turn % count($take)]->name;
    }
}
