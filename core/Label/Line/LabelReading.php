<?php

declare(strict_types=1);

namespace Tally\Label\Line;

use Tally\Label\Bus;
use Tally\Label\Family;
use Tally\Label\Form;
use Tally\Label\Label;
use Tally\Label\Mark;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;

/** What was read from a line of print, and from which part of it. Nothing is guessed: what is not printed is null. */
final readonly class LabelReading
{
    /**
     * @param  list<Mark>  $marks
     * @param  array<string, string>  $from  field → the part it was read from
     * @param  list<string>  $notes  what was taken to mean something that the print does not say outright
     * @param  list<string>  $unknown  parts that were not understood
     * @param  bool  $speedUnread  whether a figure is printed that may be a speed, and was not taken for one
     * @param  Bytes|null  $inDecimal  what the capacity is where its binary units were meant to be decimal ones
     */
    public function __construct(
        public ?Form $form,
        public ?Bytes $capacity,
        public ?Family $family,
        public ?Bus $bus,
        public array $marks,
        public ?Rate $read,
        public ?Rate $write,
        public ?Rate $sustained,
        public ?float $times,
        public array $from,
        public array $notes,
        public array $unknown,
        public bool $speedUnread = false,
        public ?Bytes $inDecimal = null,
    ) {}

    /** The label, as far as it can be judged; null while form or capacity is missing. */
    public function label(): ?Label
    {
        return $this->form === null || $this->capacity === null
            ? null
            : new Label(
                $this->form,
                $this->capacity,
                $this->family,
                $this->bus,
                marks: $this->marks,
                read: $this->read,
                write: $this->write,
                times: $this->times,
                sustained: $this->sustained,
                inDecimal: $this->inDecimal,
                hasUnread: $this->speedUnread,
            );
    }
}
