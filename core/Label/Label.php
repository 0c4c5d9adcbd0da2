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
    ) {}

    /** @return Mark|null the mark with the highest floor */
    public function topMark(): ?Mark
    {
        $top = null;
        foreach ($this->marks as $mark) {
            if ($top === null || $top->floor()->isBelow($mark->floor())) {
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
     * The bus to reckon with. When none is printed: the oldest on which its marks are allowed, so that nothing is promised
     * that the print does not. A UHS-I card that claims more than UHS-I carries has its maker's double-rate mode.
     */
    public function likelyBus(): Bus
    {
        if ($this->bus !== null) {
            $beyond = $this->bus === Bus::UhsI && $this->readClaim() !== null && Bus::UhsI->ceiling()->nominal->isBelow($this->readClaim());

            return $beyond ? Bus::UhsIDouble : $this->bus;
        }
        foreach ($this->form->buses() as $bus) {
            if ($bus === Bus::SdDefault || ($bus === Bus::SdHighSpeed && $this->capacity->count > Family::Sdhc->most()->count)) {
                continue;
            }
            foreach ($this->marks as $mark) {
                if ($mark->buses() !== [] && ! in_array($bus, $mark->buses(), true)) {
                    continue 2;
                }
            }

            return $bus;
        }

        return $this->form->buses()[0];
    }
}
