<?php

declare(strict_types=1);

namespace App\Runs\Conducting;

use Illuminate\Support\Fluent;
use Tally\Probe\Observing\Progress;

/** How far a run has come, as the page and the terminal show it. */
final readonly class ProgressRecord
{
    /**
     * @param  string  $phase  writing, settling or reading
     * @param  float  $share  0 to 1 of all that is to be moved
     * @param  float|null  $rate  bytes a second just now
     * @param  float|null  $left  seconds, at the mean speed so far
     */
    public function __construct(
        public string $phase,
        public int $run,
        public int $at,
        public int $of,
        public float $share,
        public ?float $rate,
        public ?float $left,
    ) {}

    public static function of(Progress $progress): self
    {
        $share = $progress->share();

        return new self($progress->phase->value, $progress->run, $progress->at, $progress->of, $share, $progress->rate, $progress->left());
    }

    /** @param  Fluent<string, mixed>  $record */
    public static function unpack(Fluent $record): self
    {
        return new self(
            $record->string('phase')->value(),
            $record->integer('run'),
            $record->integer('at'),
            $record->integer('of'),
            $record->float('share'),
            $record->get('rate') === null ? null : $record->float('rate'),
            $record->get('left') === null ? null : $record->float('left'),
        );
    }

    /** @return array<string, mixed> */
    public function pack(): array
    {
        return [
            'phase' => $this->phase,
            'run' => $this->run,
            'at' => $this->at,
            'of' => $this->of,
            'share' => $this->share,
            'rate' => $this->rate,
            'left' => $this->left,
        ];
    }
}
