<?php

declare(strict_types=1);

namespace App\Runs;

use Illuminate\Support\Fluent;
use Tally\Chain\Path;
use Tally\Pattern\BlockClass;
use Tally\Pattern\Patch;
use Tally\Probe\Passage;
use Tally\Probe\Proof\ProofResult;
use Tally\Quantity\Bytes;
use Tally\Quantity\Span;
use Tally\Reading\Condition;
use Tally\Reading\Diagnosis;
use Tally\Verdict\ProofEvidence;

/** What is kept of a proof. */
final readonly class ProofRecord
{
    /**
     * @param  array<string, int>  $classes  bytes by class
     * @param  list<Patch>  $patches
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
    ) {}

    public static function of(ProofResult $result): self
    {
        return new self(
            $result->imprint,
            $result->size,
            $result->diagnosis,
            $result->core->firstBad(),
            $result->core->bytesByClass(),
            $result->core->wrongBits(),
            $result->core->patches(),
            $result->core->grain(),
            $result->write,
            $result->read,
            $result->forgot,
            $result->note,
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

    public function evidence(string $run, Path $path): ProofEvidence
    {
        return new ProofEvidence($run, $this->diagnosis, $this->covered(), $this->bad(), $this->forgot, $this->write->rate(), $path);
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
