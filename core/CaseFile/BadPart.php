<?php

declare(strict_types=1);

namespace Tally\CaseFile;

use Tally\Pattern\BlockClass;
use Tally\Quantity\Bytes;
use Tally\Value\Row;
use Tally\Value\WrongField;

/** A part of a medium that did not come back as written. */
#[Row]
final readonly class BadPart
{
    /**
     * @param  Bytes|null  $repeats  of echoes: the address that is repeated, or the lap
     *
     * @throws WrongField
     */
    public function __construct(public BlockClass $class, public Bytes $from, public Bytes $length, private ?Bytes $repeats = null)
    {
        if ($class === BlockClass::Echoes && $repeats === null) {
            throw new WrongField('3', 'an echo repeats another address: give it, or the lap.');
        }
    }

    /**
     * Which address an echo repeats; null of what is none.
     *
     * @param  bool  $holdsBefore  whether all before it holds: then it is the first lap that stays
     */
    public function source(bool $holdsBefore): ?int
    {
        $given = $this->class === BlockClass::Echoes ? $this->repeats?->count : null;

        return match (true) {
            $given === null || $given === 0 => $given,
            $holdsBefore && $given <= $this->from->count && $this->from->count % $given === 0 => $this->from->count - $given,
            default => $this->from->count + $given,
        };
    }
}
