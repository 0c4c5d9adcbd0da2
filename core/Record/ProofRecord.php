<?php

declare(strict_types=1);

namespace Tally\Record;

use Tally\Pattern\BlockClass;
use Tally\Pattern\Patch;
use Tally\Probe\Proof\Checkpoint;
use Tally\Probe\Proof\ProofResult;
use Tally\Probe\Screen\ScreenPlan;
use Tally\Quantity\Bytes;
use Tally\Quantity\Passage;
use Tally\Quantity\Span;
use Tally\Reading\Condition;
use Tally\Reading\Coverage;
use Tally\Reading\Diagnosis;
use Tally\Reading\Nature;
use Tally\Reading\Thresholds;

/** What is kept of a proof or a quick screen. */
final readonly class ProofRecord implements Result
{
    /** No card is known to answer for more than this from a memory of its own: common practice, no source. */
    private const MOST_CACHE = 1_000_000_000;

    /**
     * @param  Bytes  $size  what it was to cover
     * @param  array<string, int>  $classes  bytes by class
     * @param  list<Patch>  $patches
     * @param  int|null  $alarmAt  bytes written when a look back ended the proof early
     * @param  ScreenPlan|null  $screen  of a quick screen
     * @param  Extent  $extent  how much there was: of the medium itself, or of what a file system gave
     * @param  string|null  $how  how the medium was reached
     * @param  LongWrite|null  $course  of the write pass; null where none was kept, or of a screen
     * @param  bool  $reinserted  whether the card was out since the proof before
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
        public Extent $extent = new Extent(null, false),
        public ?string $how = null,
        public ?LongWrite $course = null,
        public bool $reinserted = false,
    ) {}

    /** @param  Extent  $extent  of what it was found on */
    public static function of(ProofResult $result, Extent $extent, ?string $how = null, bool $reinserted = false): self
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
            $extent,
            $how,
            $result->screen === null ? LongWrite::traced($result->writeTrace, $result->floor) : null,
            $reinserted,
        );
    }

    /** What a proof that goes on has found so far, as it is kept in case its worker dies. */
    public static function soFar(Checkpoint $from, Extent $extent, bool $reinserted): self
    {
        return new self(
            $from->imprint,
            $from->size,
            Diagnosis::of($from->core, $from->size, $extent->shown),
            $from->core->firstBad(),
            $from->core->bytesByClass(),
            $from->core->wrongBits(),
            $from->core->patches(),
            $from->core->grain(),
            new Passage(Bytes::of($from->written), Span::seconds($from->writing)),
            new Passage(Bytes::of($from->read), Span::seconds($from->reading)),
            true,
            null,
            extent: $extent,
            course: LongWrite::traced($from->writeTrace, $from->lowest()),
            reinserted: $reinserted,
        );
    }

    public static function unpack(Fields $record): self
    {
        $passage = fn (Fields $way): Passage => new Passage(Bytes::of($way->count('bytes', 0)), Span::seconds($way->number('seconds', 0)));
        $size = $record->size('size');
        $classes = [];
        foreach (BlockClass::cases() as $class) {
            $classes[$class->value] = $record->fields('classes')->count($class->value, 0);
        }
        $patches = self::patches($record);
        $imprint = $record->integer('imprint', 1);
        $points = $record->countOrNull('points');

        return new self(
            $imprint,
            $size,
            (new Diagnosis(
                $record->choice('condition', Condition::class),
                Bytes::of($record->count('capacity', 0)),
                $record->countOrNull('wrap'),
                $record->countOrNull('wrap_from'),
                $record->boolean('exact', true),
                $record->texts('also'),
            ))->toldAnew($patches),
            $record->countOrNull('first_bad'),
            $classes,
            $record->count('wrong_bits', 0),
            $patches,
            $record->count('grain', 0),
            $passage($record->fields('write')),
            $passage($record->fields('read')),
            $record->boolean('forgot'),
            $record->textOrNull('note'),
            $record->countOrNull('alarm_at'),
            $points === null
                ? null
                : ($points >= ScreenPlan::LEAST && $points <= ScreenPlan::MOST
                    ? new ScreenPlan($size, $points, $imprint)
                    : throw $record->wrong('points', 'give a whole number from '.ScreenPlan::LEAST.' to '.ScreenPlan::MOST.'.')),
            Extent::unpack($record, $size),
            $record->textOrNull('how'),
            $record->has('course') ? LongWrite::unpack($record->fields('course')) : null,
            $record->boolean('reinserted'),
        );
    }

    /** Also the JSON of `tally:prove`, which adds the verdict. */
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
            'nature' => $this->nature()->value,
            'also' => $this->diagnosis->also,
            'alarm_at' => $this->alarmAt,
            'points' => $this->screen?->points,
            ...$this->extent->pack($this->size),
            'reinserted' => $this->reinserted,
            'how' => $this->how,
            'classes' => $this->classes,
            'condition' => $this->diagnosis->condition->value,
            'write' => self::packPassage($this->write),
            'read' => self::packPassage($this->read),
            'course' => $this->course?->pack(),
            'forgot' => $this->forgot,
            // Above 2⁵³: a number would be rounded by who reads it in a browser.
            'imprint' => (string) $this->imprint,
            'wrong_bits' => $this->wrongBits,
            'grain' => $this->grain,
            'patches' => array_map(
                fn (Patch $patch): array => [$patch->class->value, $patch->offset, $patch->length, $patch->source, $patch->wrongBits],
                $this->patches,
            ),
            'note' => $this->note,
        ];
    }

    public function withCourse(?LongWrite $course): self
    {
        return new self(
            $this->imprint,
            $this->size,
            $this->diagnosis,
            $this->firstBad,
            $this->classes,
            $this->wrongBits,
            $this->patches,
            $this->grain,
            $this->write,
            $this->read,
            $this->forgot,
            $this->note,
            $this->alarmAt,
            $this->screen,
            $this->extent,
            $this->how,
            $course,
            $this->reinserted,
        );
    }

    public function covered(): Bytes
    {
        return Bytes::of(array_sum($this->classes));
    }

    public function bad(): Bytes
    {
        return Bytes::of($this->covered()->count - ($this->classes[BlockClass::Holds->value] ?? 0));
    }

    /** Whether all there was has been written and read back: only then is anything said of the whole card. */
    public function isWhole(): bool
    {
        $shown = $this->extent->shown;

        return $this->screen === null &&
            $shown !== null &&
            $this->write->bytes->count >= $shown->count &&
            $this->covered()->count >= $shown->count;
    }

    /** Whether all of it was written, read back, and came back as written. */
    public function isProvenWhole(): bool
    {
        return $this->isWhole() && $this->forgot && $this->diagnosis->condition === Condition::Whole;
    }

    /** Whether it lies about its size or is ill: what keeps nothing, or nearly all, is no fake. */
    public function nature(): Nature
    {
        $of = ($this->extent->shown ?? $this->size)->count;
        $keeps = $this->diagnosis->capacity->count;
        $nature = $this->diagnosis->nature();

        return $nature === Nature::Fake && ($keeps === 0 || $keeps >= Thresholds::FULL * $of) ? Nature::Faulty : $nature;
    }

    /** Bytes that came back as written. */
    public function holds(): Bytes
    {
        return Bytes::of($this->classes[BlockClass::Holds->value] ?? 0);
    }

    /** Bytes that were answered with errors. */
    public function unreadable(): Bytes
    {
        return Bytes::of($this->classes[BlockClass::Unreadable->value] ?? 0);
    }

    /** Whether what it found reaches to the end of all there was: looking back asks places up to there too. */
    public function reachesTheEnd(): bool
    {
        $shown = $this->extent->shown;

        return $shown === null ||
            $this->screen !== null ||
            $this->covered()->count >= $shown->count ||
            ($this->alarmAt !== null && ! $this->extent->isFolder);
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

    /** Whether the capacity is no one address, behind which nothing is kept. */
    public function hasLooseCapacity(): bool
    {
        return $this->isOnlyScreened() ||
            in_array($this->diagnosis->condition, [Condition::Aliases, Condition::Faulty, Condition::Unknown], true);
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
            $points !== null => trim(
                ($this->diagnosis->condition === Condition::Whole ? (new Coverage($points))->excluded().' ' : '').
                    (new Coverage($points))->caught(),
            ),
            $this->diagnosis->condition === Condition::Unknown => 'Nothing yet.',
            $this->alarmAt !== null && $this->screen === null && $this->covered()->count < $this->alarmAt => 'Kind and capacity: '.
                'single places were written and read until both were known'.
                ($this->diagnosis->exact ? ', to the sector.' : ', as well as could be.'),
            $this->bad()->isZero() => "{$this->covered()->decimal()} of {$this->size->decimal()} was written and came back as written.",
            default => "Of {$this->size->decimal()} {$this->came()}.",
        };
    }

    /** What came back, in a few words: what was answered with errors did not. */
    public function came(): string
    {
        return match (true) {
            $this->covered()->isZero() => 'nothing was read back',
            $this->bad()->isZero() => "{$this->holds()->decimal()} came back as written",
            default => "{$this->holds()->decimal()} came back as written".$this->rest(),
        };
    }

    /** `, 141 MB came back otherwise and 13.7 GB was answered with errors` */
    private function rest(): string
    {
        $wrong = Bytes::of($this->bad()->count - $this->unreadable()->count);
        $parts = array_diff(
            [
                $wrong->isZero() ? '' : "{$wrong->decimal()} came back otherwise",
                $this->unreadable()->isZero() ? '' : "{$this->unreadable()->decimal()} was answered with errors",
            ],
            [''],
        );

        return ', '.implode(' and ', $parts);
    }

    /** @return list<string> */
    public function leavesOpen(): array
    {
        return array_values(
            array_filter([
                $this->screen === null ? null : 'Every block that was not stamped: a screen does not prove them, a full proof does.',
                $this->screen === null && $this->alarmAt === null && $this->covered()->count < $this->size->count
                    ? 'What was not read back.'
                    : null,
                $this->alarmAt === null
                    ? null
                    : "What lies behind the first {$this->decimal(
                        $this->alarmAt,
                    )}: nothing more was to be learnt, so it was not written. A proof without looking back makes the whole map.",
                $this->extent->isMedium($this->size)
                    ? null
                    : 'What the file system and other files take up, and where on the medium the files lie.',
                $this->asksForReinsert()
                    ? "A cache inside the card: less than {$this->decimal(
                        self::MOST_CACHE,
                    )} was written, so one could have answered for all of it. Take the card out, put it back and read it again."
                    : null,
                $this->forgot ? null : 'Whether it came from the card at all: this host’s cache could not be cleared.',
                'How long it keeps what is on it, and how it does when it is hot or old.',
            ]),
        );
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
     * @return list<Patch>
     *
     * @throws NotUsable
     */
    private static function patches(Fields $record): array
    {
        return array_map(
            fn (Fields $row): Patch => new Patch(
                $row->choice('0', BlockClass::class),
                $row->count('1'),
                $row->count('2'),
                $row->countOrNull('3'),
                $row->count('4', 0),
            ),
            $record->rows('patches'),
        );
    }
}
