<?php

declare(strict_types=1);

namespace Tally\CaseFile;

use Tally\Evidence\LongWriteEvidence;
use Tally\Label\Form;
use Tally\Measured\Instrument;
use Tally\Quantity\Bytes;
use Tally\Value\ByHand;
use Tally\Value\Inline;
use Tally\Value\WrongField;

/** A sustained run of a case. */
#[ByHand]
final readonly class WrittenLongWrite implements WrittenRun
{
    /** @var non-empty-list<Piece> */
    private array $pieces;

    private Bytes $length;

    /**
     * @param  list<Piece>  $course  in order
     *
     * @throws WrongField
     */
    public function __construct(public string $kind, #[Inline] private RunHead $head, public array $course = [])
    {
        $this->pieces = $course === []
            ? throw new WrongField('course', 'pieces of steady speed, each a size and a speed, such as [["64 GB", "38 MB/s"]], would do.')
            : $course;
        $this->length = Piece::length($course);
    }

    public function evidence(string $name, Form $form, ?Instrument $bench = null): LongWriteEvidence
    {
        return new LongWriteEvidence(
            $this->head->source($name),
            $this->head->chain($form, $bench),
            Piece::course($this->pieces),
            $this->length,
        );
    }
}
