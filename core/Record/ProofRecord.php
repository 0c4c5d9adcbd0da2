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
use Tally\Value\Alterable;
use Tally\Value\Inline;
use Tally\Value\Key;

/** What is kept of a proof or a quick screen. */
final readonly class ProofRecord implements Result
{
    use Alterable;

    /** No card is known to answer for more than this from a memory of its own: common practice, no source. */
    private const MOST_CACHE = 1_000_000_000;

    /** Of a quick screen: its places. */
    public ?ScreenPlan $screen;

    /**
     * @param  int  $imprint  number of the pattern
     * @param  Bytes  $size  what it was to cover
     * @param  array<string, int>  $classes  bytes by class
     * @param  list<Patch>  $patches
     * @param  int|null  $alarmAt  bytes written when a look back ended the proof early
     * @param  int|null  $places  of a quick screen: how many were asked for
     * @param  Extent  $extent  how much there was: of the medium itself, or of what a file system gave
     * @param  string|null  $how  how the medium was reached
     * @param  LongWrite|null  $course  of the write pass; null where none was kept, or of a screen
     * @param  bool  $reinserted  whether the card was out since the proof before
     */
    public function __construct(
        public int $imprint,
        public Bytes $size,
        #[Inline]
        public Diagnosis $diagnosis,
        public ?int $firstBad = null,
        public array $classes = [],
        public int $wrongBits = 0,
        public array $patches = [],
        public int $grain = 0,
        public Passage $write = new Passage(),
        public Passage $read = new Passage(),
        public bool $forgot = false,
        public ?string $note = null,
        public ?int $alarmAt = null,
        #[Key('points')]
        public ?int $places = null,
        #[Inline]
        public Extent $extent = new Extent(null, false),
        public ?string $how = null,
        public ?LongWrite $course = null,
        public bool $reinserted = false,
    ) {
        $this->screen = $places === null ? null : new ScreenPlan($size, $places, $imprint);
    }

    /** @param  Extent  $extent  of what it was found on */
    public static function of(ProofResult $result, Extent $extent, ?string $how = null, bool $reinserted = false): self
    {
        return new self(
            $result->imprint,
            $result->size,
            $result->diagnosis,
            self::firstBad($result),
            classes: $result->core->bytesByClass(),
            wrongBits: $result->core->wrongBits(),
            patches: $result->core->patches(),
            grain: $result->core->grain(),
            write: $result->write,
            read: $result->read,
            forgot: $result->forgot,
            note: $result->note,
            alarmAt: $result->alarmAt,
            places: $result->screen?->points,
            extent: $extent,
            how: $how,
            course: $result->screen === null ? LongWrite::traced($result->writeTrace, $result->floor) : null,
            reinserted: $reinserted,
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
            classes: $from->core->bytesByClass(),
            wrongBits: $from->core->wrongBits(),
            patches: $from->core->patches(),
            grain: $from->core->grain(),
            write: new Passage(Bytes::of($from->written), Span::seconds($from->writing)),
            read: new Passage(Bytes::of($from->read), Span::seconds($from->reading)),
            forgot: true,
            note: null,
            extent: $extent,
            course: LongWrite::traced($from->writeTrace, $from->lowest()),
            reinserted: $reinserted,
        );
    }

    public function withCourse(?LongWrite $course): self
    {
        return $this->with(course: $course);
    }

    /** The same, of a record that was kept when less was told apart. */
    public function toldAnew(): self
    {
        $told = $this->diagnosis->toldAnew($this->patches);

        return $told === $this->diagnosis ? $this : $this->with(diagnosis: $told);
    }

    #[Key('whole')]
    public function isOfTheMedium(): bool
    {
        return $this->extent->isMedium($this->size);
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
    #[Key('nature')]
    public function nature(): Nature
    {
        $of = ($this->extent->shown ?? $this->size)->count;
        $keeps = $this->diagnosis->capacity->count;
        $nature = $this->diagnosis->nature();

        return $nature === Nature::Fake && ($keeps === 0 || $keeps >= Thresholds::FULL * $of) ? Nature::Faulty : $nature;
    }

    /** Bytes that came back as written. */
    #[Key('holds')]
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
}
