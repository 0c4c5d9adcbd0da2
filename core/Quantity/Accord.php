<?php

declare(strict_types=1);

namespace Tally\Quantity;

/** Whether a size, a time and a speed that were all typed go together, and if not, what slipped. */
final readonly class Accord
{
    /** Closer than this they agree: people round. House rule. */
    private const AGREES = 0.01 + 1e-9;

    /**
     * @param  Rate  $computed  size ÷ time
     * @param  float  $ratio  typed ÷ computed
     */
    private function __construct(
        public Bytes $size,
        public Span $time,
        public Rate $typed,
        public Rate $computed,
        public float $ratio,
        public ?Slip $slip,
    ) {}

    /** @return self|null null where size or time is nothing, so that they come to no speed */
    public static function of(Bytes $size, Span $time, Rate $typed): ?self
    {
        if ($size->isZero() || $time->seconds <= 0) {
            return null;
        }
        $computed = Rate::ofTransfer($size, $time);
        $ratio = $typed->over($computed);

        return new self($size, $time, $typed, $computed, ratio: $ratio, slip: abs($ratio - 1) <= self::AGREES ? null : Slip::of($ratio));
    }

    public function agrees(): bool
    {
        return abs($this->ratio - 1) <= self::AGREES;
    }

    /** @return string what to tell whoever typed them */
    public function sentence(): string
    {
        $come = "{$this->size->decimal()} in {$this->time->print()} come to {$this->computed->print()}";
        if ($this->agrees()) {
            return "{$come}: the three agree.";
        }
        if ($this->slip !== null) {
            $meant = $this->slip->meant($this->size);
            $then =
                $meant->count === $this->size->count
                    ? ''
                    : " {$meant->decimal()} in {$this->time->print()} would be ".Rate::ofTransfer($meant, $this->time)->print().'.';

            return "{$come}, and {$this->typed->print()} was typed: {$this->slip->words()}.{$then}";
        }
        $percent = number_format(100 * abs($this->ratio - 1), 1);

        return "{$come}, and {$this->typed->print()} was typed: the three disagree, the typed speed is {$percent} % ".
            ($this->ratio > 1 ? 'more' : 'less').
            ' than size and time come to.';
    }
}
