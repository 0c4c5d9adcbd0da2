<?php

declare(strict_types=1);

namespace App\Runs;

use Illuminate\Support\Fluent;
use Tally\Chain\Path;
use Tally\Device\Addressed;
use Tally\Device\Device;
use Tally\Device\Raw\RawDevice;
use Tally\Pattern\BlockClass;
use Tally\Pattern\Patch;
use Tally\Probe\Passage;
use Tally\Probe\Proof\Checkpoint;
use Tally\Probe\Proof\ProofResult;
use Tally\Probe\Screen\ScreenPlan;
use Tally\Quantity\Bytes;
use Tally\Quantity\Span;
use Tally\Reading\Condition;
use Tally\Reading\Coverage;
use Tally\Reading\Diagnosis;
use Tally\Reading\Nature;
use Tally\Verdict\ProofEvidence;

/** What is kept of a proof. */
final readonly class ProofRecord
{
    /** No card is known to answer for more than this from a memory of its own: common practice, no source. */
    private const MOST_CACHE = 1_000_000_000;

    /**
     * @param  array<string, int>  $classes  bytes by class
     * @param  list<Patch>  $patches
     * @param  int|null  $alarmAt  bytes written when a look back ended the proof early
     * @param  ScreenPlan|null  $screen  of a quick screen
     * @param  bool  $isWhole  whether all that the medium shows of itself was asked for, with no file system in between
     * @param  string|null  $how  how the medium was reached
     */
    public function __construct(
        public int $imprint,
        public Bytes $size,
        public Diagnosis $diagnosis,
        public ?int $firstBad,
        public array $classes,
        public int $wrongBits,
        public array $patches,
        public int $grain,
        public Passage $write,
        public Passage $read,
        public bool $forgot,
        public ?string $note,
        public ?int $alarmAt = null,
        public ?ScreenPlan $screen = null,
        public bool $isWhole = false,
        public ?string $how = null,
    ) {}

    /** @param  Device|null  $device  what it was found on */
    public static function of(ProofResult $result, ?Device $device = null): self
    {
        return new self(
            $result->imprint,
            $result->size,
            $result->diagnosis,
            self::firstBad($result),
            $result->core->bytesByClass(),
            $result->core->wrongBits(),
            $result->core->patches(),
            $result->core->grain(),
            $result->write,
            $result->read,
            $result->forgot,
            $result->note,
            $result->alarmAt,
            $result->screen,
            $device instanceof Addressed && $result->size->count === $device->size()->count,
            $device instanceof RawDevice ? $device->manner() : null,
        );
    }

    /** What a proof that goes on has found so far, as it is kept in case its worker dies. */
    public static function soFar(Checkpoint $from, bool $isWhole): self
    {
        return new self(
            $from->imprint, $from->size, Diagnosis::of($from->core, $from->size), $from->core->firstBad(), $from->core->bytesByClass(), $from->core->wrongBits(),
            $from->core->patches(), $from->core->grain(), new Passage(Bytes::of($from->written), Span::seconds($from->writing)),
            new Passage(Bytes::of($from->read), Span::seconds($from->reading)), true, null, isWhole: $isWhole,
        );
    }

    /** @param  Fluent<string, mixed>  $record */
    public static function unpack(Fluent $record): self
    {
        $passage = fn (string $way): Passage => new Passage(Bytes::of($record->integer("{$way}.bytes")), Span::seconds($record->float("{$way}.seconds")));
        $classes = [];
        foreach (BlockClass::cases() as $class) {
            $classes[$class->value] = $record->integer("classes.{$class->value}");
        }

        return new self(
            (int) $record->string('imprint')->value(),
            Bytes::of($record->integer('size')),
            new Diagnosis(
                Condition::from($record->string('condition')->value()),
                Bytes::of($record->integer('capacity')),
                $record->get('wrap') === null ? null : $record->integer('wrap'),
                $record->get('wrap_from') === null ? null : $record->integer('wrap_from'),
                $record->boolean('exact', true),
                array_values(array_filter($record->array('also'), is_string(...))),
            ),
            $record->get('first_bad') === null ? null : $record->integer('first_bad'),
            $classes,
            $record->integer('wrong_bits'),
            self::patches($record->array('patches')),
            $record->integer('grain'),
            $passage('write'),
            $passage('read'),
            $record->boolean('forgot'),
            $record->get('note') === null ? null : $record->string('note')->value(),
            $record->get('alarm_at') === null ? null : $record->integer('alarm_at'),
            $record->get('points') === null ? null : new ScreenPlan(Bytes::of($record->integer('size')), $record->integer('points'), (int) $record->string('imprint')->value()),
            $record->boolean('whole'),
            $record->get('how') === null ? null : $record->string('how')->value(),
        );
    }

    /**
     * Also the JSON of `tally:prove`, which adds the verdict.
     *
     * @return array<string, mixed>
     */
    public function pack(): array
    {
        return [
            'size' => $this->size->count,
            'capacity' => $this->diagnosis->capacity->count,
            'holds' => $this->classes[BlockClass::Holds->value] ?? 0,
            'first_bad' => $this->firstBad,
            'wrap' => $this->diagnosis->wrap,
            'wrap_from' => $this->diagnosis->wrapFrom,
            'exact' => $this->diagnosis->exact,
            'nature' => $this->diagnosis->nature()->value,
            'also' => $this->diagnosis->also,
            'alarm_at' => $this->alarmAt,
            'points' => $this->screen?->points,
            'whole' => $this->isWhole,
            'how' => $this->how,
            'classes' => $this->classes,
            'condition' => $this->diagnosis->condition->value,
            'write' => self::packPassage($this->write),
            'read' => self::packPassage($this->read),
            'forgot' => $this->forgot,
            // Above 2⁵³: a number would be rounded by who reads it in a browser.
            'imprint' => (string) $this->imprint,
            'wrong_bits' => $this->wrongBits,
            'grain' => $this->grain,
            'patches' => array_map(fn (Patch $patch): array => [$patch->class->value, $patch->offset, $patch->length, $patch->source, $patch->wrongBits], $this->patches),
            'note' => $this->note,
        ];
    }

    public function covered(): Bytes
    {
        return Bytes::of(array_sum($this->classes));
    }

    public function bad(): Bytes
    {
        return Bytes::of($this->covered()->count - ($this->classes[BlockClass::Holds->value] ?? 0));
    }

    /** @param  bool  $wasAlone  whether nothing else took a part of the link, so that its speed counts too */
    public function evidence(string $run, Path $path, bool $wasAlone = true): ProofEvidence
    {
        // A screen writes here and there, and a proof that ended early only the beginning: neither tells the speed over the whole card.
        $write = $wasAlone && $this->screen === null && $this->alarmAt === null ? $this->write->rate() : null;

        return new ProofEvidence($run, $this->diagnosis, $this->covered(), $this->bad(), $this->forgot, $write, $path, $this->isWhole ? $this->size : null, $this->points());
    }

    /** @return int|null how many places carry the statistics of a screen */
    public function points(): ?int
    {
        return $this->screen === null ? null : count($this->screen->drawn());
    }

    /** Whether nothing bad was met at the places of a screen, which proves no capacity. */
    public function isOnlyScreened(): bool
    {
        return $this->screen !== null && $this->diagnosis->condition === Condition::Whole;
    }

    /** Whether it could be that a cache inside the card answered for all that was written. */
    public function asksForReinsert(): bool
    {
        return $this->diagnosis->condition === Condition::Whole && $this->covered()->count < self::MOST_CACHE;
    }

    /** What it proves, and what it leaves open, in sentences. */
    public function proves(): string
    {
        $points = $this->points();

        return match (true) {
            $points !== null => trim(($this->diagnosis->condition === Condition::Whole ? (new Coverage($points))->excluded().' ' : '').(new Coverage($points))->caught()),
            $this->diagnosis->condition === Condition::Unknown => 'Nothing yet.',
            $this->alarmAt !== null && $this->screen === null && $this->covered()->count < $this->alarmAt => 'Kind and capacity: single places were written and read until both were known'.($this->diagnosis->exact ? ', to the sector.' : ', as well as could be.'),
            default => "{$this->covered()->decimal()} of {$this->size->decimal()} was written and read back, every sector of it.",
        };
    }

    /** @return list<string> */
    public function leavesOpen(): array
    {
        return array_values(array_filter([
            $this->screen === null ? null : 'Every block that was not stamped: a screen does not prove them, a full proof does.',
            $this->screen === null && $this->alarmAt === null && $this->covered()->count < $this->size->count ? 'What was not read back.' : null,
            $this->alarmAt === null ? null : "What lies behind the first {$this->decimal($this->alarmAt)}: nothing more was to be learnt, so it was not written. A proof without looking back makes the whole map.",
            $this->isWhole ? null : 'What the file system and other files take up, and where on the medium the files lie.',
            $this->asksForReinsert() ? "A cache inside the card: less than {$this->decimal(self::MOST_CACHE)} was written, so one could have answered for all of it. Take the card out, put it back and read it again." : null,
            $this->forgot ? null : 'Whether it came from the card at all: this host could not be made to forget it.',
            'How long it keeps what is on it, and how it does when it is hot or old.',
        ]));
    }

    private function decimal(int $bytes): string
    {
        return Bytes::of($bytes)->decimal();
    }

    /** Where sampled places told the kind, the first bad byte follows from it. */
    private static function firstBad(ProofResult $result): ?int
    {
        $asked = ($result->screen !== null || $result->alarmAt !== null) && $result->diagnosis->exact;

        return match (true) {
            ! $asked => $result->core->firstBad(),
            $result->diagnosis->condition === Condition::Wraps => $result->diagnosis->wrapFrom,
            $result->diagnosis->condition === Condition::Aliases => $result->core->firstBad(),
            $result->diagnosis->nature() === Nature::Fake => $result->diagnosis->capacity->count,
            default => $result->core->firstBad(),
        };
    }

    /** @return array{bytes: int, seconds: float, rate: float|null} */
    private static function packPassage(Passage $passage): array
    {
        return ['bytes' => $passage->bytes->count, 'seconds' => $passage->span->seconds, 'rate' => $passage->rate()?->bytesPerSecond];
    }

    /**
     * @param  array<mixed>  $rows
     * @return list<Patch>
     */
    private static function patches(array $rows): array
    {
        $patches = [];
        foreach ($rows as $row) {
            $row = new Fluent(is_array($row) ? $row : []);
            $patches[] = new Patch(
                BlockClass::from($row->string('0')->value()),
                $row->integer('1'),
                $row->integer('2'),
                $row->get('3') === null ? null : $row->integer('3'),
                $row->integer('4'),
            );
        }

        return $patches;
    }
}
