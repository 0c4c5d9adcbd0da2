<?php

declare(strict_types=1);

namespace Tally\Label;

use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Value\Alterable;

/** What a card claims of itself in print, and how many rows of contacts somebody counted on its back. */
final readonly class Label
{
    use Alterable;

    /** No card is larger than 1 PB; SDUC ends at 128 TB. Bytes. */
    public const MOST = 1_000_000_000_000_000;

    /**
     * @param  list<Mark>  $marks
     * @param  Rate|null  $read  the “up to” figures, if printed
     * @param  Rate|null  $sustained  a sustained write speed, if printed
     * @param  int|null  $contactRows  1 or 2 as seen; null when nobody has looked
     * @param  Bytes|null  $inDecimal  what the digits of the capacity are in decimal units, where binary ones are printed: no maker
     * prints those, so somebody's pen slipped, and either may be meant
     * @param  bool  $hasUnread  whether something is printed that may be a speed, and was not taken for one
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
        public ?Bytes $inDecimal = null,
        public bool $hasUnread = false,
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

    /** The same label on a card whose contacts somebody counted. */
    public function withContactRows(?int $rows): self
    {
        return $this->with(contactRows: $rows);
    }

    /** The least that it can mean: the capacity itself, but where its units are in doubt. */
    public function least(): Bytes
    {
        return $this->inDecimal ?? $this->capacity;
    }

    /** @return list<Mark> one mark for each floor that is promised, the highest first */
    public function floors(): array
    {
        $floors = [];
        foreach ($this->marks as $mark) {
            $floors[(int) $mark->floor()->megabytes()] = $mark;
        }
        krsort($floors);

        return array_values($floors);
    }

    public function highest(MarkKind $kind): ?Mark
    {
        $of = array_filter($this->marks, fn (Mark $mark): bool => $mark->kind() === $kind);

        return (new self($this->form, $this->capacity, marks: array_values($of)))->topMark();
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
        return match (true) {
            $this->isOneRow() => [$this->isBeyond(Bus::UhsI) ? Bus::UhsIDouble : Bus::UhsI],
            $this->bus === Bus::Express => [
                Bus::ExpressGen3,
                ...array_slice($this->form->buses(), 1 + (int) array_search(Bus::ExpressGen3, $this->form->buses(), true)),
            ],
            $this->bus !== null => [$this->bus],
            default => $this->form->buses(),
        };
    }

    /**
     * @param  list<Bus>  $slot  the buses a reader's slot supports
     * @return Bus|null the fastest bus the card may settle on there, for planning; null when it does not work there
     */
    public function settleIn(array $slot): ?Bus
    {
        return Bus::fastestSettled($this->possibleBuses(), $slot);
    }

    /**
     * The fastest bus there is between the two, for asking what is too fast to be true: a UHS-I card may know the double
     * rate of a slot without printing it.
     *
     * @param  list<Bus>|null  $slot  the buses of the slot; null where nobody named it
     */
    public function fastestIn(?array $slot): ?Bus
    {
        $own = $this->possibleBuses();

        return $slot === null
            ? Bus::fastestSettled($own, $own)
            : Bus::fastestSettled(in_array(Bus::UhsI, $own, true) ? [...$own, Bus::UhsIDouble] : $own, $slot);
    }

    /**
     * The slowest bus that is plausible between the two, for asking whose fault a shortfall is.
     *
     * @param  list<Bus>  $slot  the buses of the slot
     */
    public function slowestIn(array $slot): ?Bus
    {
        // A slot of which nobody knows the generation is the slowest one.
        $slowest = array_map(fn (Bus $bus): Bus => $bus === Bus::Express ? Bus::ExpressGen3 : $bus, $slot);

        return $this->slowestBus()->settleWith($slowest);
    }

    /** A bus that nobody printed is the slowest one that carries all that is printed and seen. */
    private function slowestBus(): Bus
    {
        if ($this->isOneRow() || ($this->bus !== null && $this->bus !== Bus::Express)) {
            return $this->possibleBuses()[0];
        }
        $buses = $this->bus === Bus::Express ? $this->possibleBuses() : $this->form->buses();
        if ($this->bus === null && $this->form->isSecureDigital()) {
            $marked = array_values(array_filter(Bus::cases(), fn (Bus $bus): bool => $this->marksStandOn($bus)));
            $rows = fn (Bus $bus): bool => $this->contactRows === null || $bus->contactRows() === $this->contactRows;
            // Slower than UHS-I is no card that is measured for its speed.
            $buses = array_values(
                array_filter(
                    $buses,
                    fn (Bus $bus): bool => in_array($bus, $marked, true) &&
                        $rows($bus) &&
                        $bus !== Bus::SdDefault &&
                        $bus !== Bus::SdHighSpeed,
                ),
            );
        }
        foreach ($buses as $bus) {
            if (! $this->isBeyond($bus)) {
                return $bus;
            }
        }

        return $buses[count($buses) - 1] ?? $this->form->usualBus();
    }

    private function isOneRow(): bool
    {
        return $this->form->isSecureDigital() && ($this->bus === Bus::UhsI || ($this->bus === null && $this->contactRows === 1));
    }

    /** Whether a speed is printed that a bus cannot carry. Makers round the ceiling itself: 984.6 is printed as 985. */
    public function isBeyond(Bus $bus): bool
    {
        $most = $bus->ceiling()->nominal->megabytes();
        foreach ([$this->readClaim(), $this->write, $this->sustained] as $claim) {
            if ($claim !== null && $claim->megabytes() > max($most, round($most))) {
                return true;
            }
        }

        return false;
    }

    /** What the fastest bus carries that it may have. */
    public function mostOnPaper(): Rate
    {
        $most = array_map(fn (Bus $bus): float => $bus->ceiling()->nominal->bytesPerSecond, $this->possibleBuses());

        return Rate::bytesPerSecond(max($most));
    }

    private function marksStandOn(Bus $bus): bool
    {
        return array_filter($this->marks, fn (Mark $mark): bool => ! $mark->isDefinedOver($bus)) === [];
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

        return implode(
            ' · ',
            array_filter(
                [$this->capacity->decimal(), trim("{$kind} {$bus}"), $this->topMark()?->value],
                fn (?string $part): bool => $part !== null,
            ),
        );
    }
}
