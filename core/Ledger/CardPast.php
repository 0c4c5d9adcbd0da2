<?php

declare(strict_types=1);

namespace Tally\Ledger;

use DateTimeImmutable;
use Tally\Quantity\Bytes;

/** What of a card's past says when it is tested again. */
final readonly class CardPast
{
    /**
     * @param  DateTimeImmutable|null  $proven  when it was last proven whole; null where never: then it is not due again, it is waiting
     * @param  DateTimeImmutable|null  $measured  when its speed was last measured
     * @param  Bytes|null  $written  since it was last proven
     * @param  DateTimeImmutable|null  $filled  when as much was written as the rules allow; null where not yet
     * @param  Incident|null  $incident  the last one since, of those that ask for a test
     * @param  Upcoming|null  $shoot  the next one it goes along on
     * @param  DateTimeImmutable|null  $bought  or entered, where nobody knows
     * @param  DateTimeImmutable|null  $worn  when as much was written in all as the rules allow; null where not yet
     */
    public function __construct(
        public Bytes $capacity,
        public ?DateTimeImmutable $proven = null,
        public ?DateTimeImmutable $measured = null,
        public ?Bytes $written = null,
        public ?DateTimeImmutable $filled = null,
        public ?Incident $incident = null,
        public ?Upcoming $shoot = null,
        public ?DateTimeImmutable $bought = null,
        public ?DateTimeImmutable $worn = null,
    ) {}
}
