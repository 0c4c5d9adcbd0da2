<?php

declare(strict_types=1);

namespace Tally\CaseFile;

use Tally\Evidence\SpeedEvidence;
use Tally\Label\Form;
use Tally\Measured\Instrument;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Record\SpeedRecord;
use Tally\Value\ByHand;
use Tally\Value\Inline;

/** A speed run of a case. */
#[ByHand]
final readonly class WrittenSpeed implements WrittenRun
{
    /**
     * @param  Bytes  $bytes  of one reading
     * @param  Bytes  $from  where the region begins
     * @param  list<Rate>  $write  one a reading
     * @param  list<Rate>  $read  one a reading
     */
    public function __construct(
        public string $kind,
        #[Inline]
        private RunHead $head,
        private Bytes $bytes = new Bytes(0),
        private Bytes $from = new Bytes(0),
        private array $write = [],
        private array $read = [],
    ) {}

    public function evidence(string $name, Form $form, ?Instrument $bench = null): SpeedEvidence
    {
        $rates = fn (Rate $one): float => $one->bytesPerSecond;

        return new SpeedEvidence(
            $this->head->source($name),
            $this->head->chain($form, $bench),
            new SpeedRecord(
                region: $this->bytes,
                writes: array_map($rates, $this->write),
                reads: array_map($rates, $this->read),
                forgot: true,
                from: $this->from,
            ),
        );
    }
}
