<?php

declare(strict_types=1);

namespace Tally\Probe\Proof;

use Tally\Probe\Screen\ScreenPlan;
use Tally\Quantity\Bytes;
use Tally\Quantity\Passage;
use Tally\Reading\BlockMap;
use Tally\Reading\Course\SustainedFloor;
use Tally\Reading\Diagnosis;

/** What a proof or a quick screen found. */
final readonly class ProofResult
{
    /**
     * @param  int  $imprint  number of the pattern that was written
     * @param  Bytes  $size  what the proof was to cover
     * @param  bool  $forgot  whether the host was made to forget before reading back
     * @param  list<array{float, float}>  $writeTrace  end offset, bytes a second
     * @param  list<array{float, float}>  $readTrace
     * @param  string|null  $note  what went wrong on the way: a full disk, a flush that failed
     * @param  string|null  $cutShort  a sentence, when the medium went away in between
     * @param  int|null  $alarmAt  how much was written when a look back met a fake and the rest was not written
     * @param  ScreenPlan|null  $screen  the places of a quick screen; null for a full proof
     * @param  SustainedFloor|null  $floor  the lowest window of the write pass; null when too little was written, or of a screen
     */
    public function __construct(
        public int $imprint,
        public Bytes $size,
        public BlockMap $core,
        public Diagnosis $diagnosis,
        public Passage $write,
        public Passage $read,
        public bool $forgot,
        public array $writeTrace,
        public array $readTrace,
        public bool $stopped,
        public ?string $note = null,
        public ?string $cutShort = null,
        public ?int $alarmAt = null,
        public ?ScreenPlan $screen = null,
        public ?SustainedFloor $floor = null,
    ) {}

    public function isComplete(): bool
    {
        return $this->core->covered() === $this->size->count;
    }

    /**
     * @return Checkpoint|null of a full proof that came to its end: gone on from, it tells the same again, and from it all can
     * be read back once more
     */
    public function checkpoint(): ?Checkpoint
    {
        return $this->screen === null && $this->isComplete()
            ? new Checkpoint(
                $this->imprint,
                $this->size,
                $this->size->count,
                true,
                read: $this->size->count,
                core: $this->core,
                refused: [],
                writeTrace: $this->writeTrace,
                readTrace: $this->readTrace,
                writing: $this->write->span->seconds,
                reading: $this->read->span->seconds,
                lowestWindow: $this->floor === null ? null : [$this->floor->from, $this->floor->to],
            )
            : null;
    }
}
