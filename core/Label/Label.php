<?php

declare(strict_types=1);

namespace Tally\Label;

use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;

/** What a card claims of itself in print, and how many rows of contacts somebody counted on its back. */
final readonly class Label
{
    /**
     * @param  list<Mark>  $marks
     * @param  Rate|null  $read  the “up to” figures, if printed
     * @param  Rate|null  $sustained  a sustained write speed, if printed
     * @param  int|null  $contactRows  1 or 2 as seen; null when nobody has looked
     */
    public function __construct(
        public Form $form,
        public Bytes $capacity,
        public ?Family $family = null,
        public ?Bus $bus = null,
        public array $marks = [],
        public ?Rate $read = null,
        public ?Rate $write = null,
        public ?float $times = null,
        public ?int $contactRows = null,
        public ?Rate $sustained = null,
    ) {}

    /** @return Mark|null the mark with the highest floor; of equals the last, since labels go from old marks to new */
    public function topMark(): ?Mark
    {
        $top = null;
        foreach ($this->marks as $mark) {
            if ($top === null || ! $mark->floor()->isBelow($top->floor())) {
                $top = $mark;
            }
        }

        return $top;
    }

    /** The read speed claimed, whether printed as a speed or as an ×-rating (which speaks of reading). */
    public function readClaim(): ?Rate
    {
        return $this->read ?? ($this->times === null ? null : Rate::times($this->times));
    }

    /**
     * The buses the card may have: the one that is printed, else any of its form, since a mark is only a minimum. A UHS-I
     * card that claims more than UHS-I carries has its maker's double-rate mode.
     *
     * @return non-empty-list<Bus>
     */
    public function possibleBuses(): array
    {
        $claim = $this->readClaim();
        $beyond = $this->bus === Bus::UhsI && $claim !== null && Bus::UhsI->ceiling()->nominal->isBelow($claim);

        return match (true) {
            $beyond => [Bus::UhsIDouble],
            $this->bus !== null => [$this->bus],
            default => $this->form->buses(),
        };
    }

    /**
     * @param  list<Bus>  $slot  the buses a reader's slot supports
     * @return Bus|null the fastest bus the card may settle on there; null when it does not work there
     */
    public function settleIn(array $slot): ?Bus
    {
        return Bus::fastestSettled($this->possibleBuses(), $slot);
    }

    /** `SD with UHS-II`, or the form alone when no bus is printed. */
    public function connection(): string
    {
        return $this->form->label().($this->bus === null ? '' : " with {$this->bus->label()}");
    }

    /** In a few words: `128 GB · SDXC UHS-II · V60`. */
    public function line(): string
    {
        // Some buses carry the name of the form again; a family does not tell a microSD card from a large one.
        $bus = str_replace(['CFexpress ', 'XQD ', 'CFast '], '', $this->bus?->label() ?? '');
        $kind = ($this->family !== null && $this->form === Form::MicroSd ? 'micro' : '').($this->family->value ?? $this->form->label());

        return implode(' · ', array_filter(
            [$this->capacity->decimal(), trim("{$kind} {$bus}"), $this->topMark()?->value],
            fn (?string $part): bool => $part !== null,
        ));
    }
}
