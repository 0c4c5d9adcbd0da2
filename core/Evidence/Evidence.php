<?php

declare(strict_types=1);

namespace Tally\Evidence;

use Tally\Inspection\Seen;
use Tally\Label\Contradictions;
use Tally\Label\Finding;
use Tally\Label\Label;
use Tally\Quantity\Bytes;

/** Everything that is known of one card. The order of runs means nothing; where it matters their dates tell it. */
final readonly class Evidence
{
    /** A medium that shows so many times its label is another card's: house rule. */
    private const MORE = 1.07;

    /**
     * @param  list<SpeedEvidence>  $speeds
     * @param  list<ProofEvidence>  $proofs
     * @param  list<LongWriteEvidence>  $sustained
     * @param  list<Seen>  $seen  what was seen on it; of a question that is answered anew, only what counts
     * @param  bool  $looked  whether every question of an inspection has an answer
     */
    public function __construct(
        public Label $label,
        public array $speeds = [],
        public array $proofs = [],
        public array $sustained = [],
        public array $seen = [],
        public bool $looked = true,
        public House $house = new House(),
    ) {}

    public function isEmpty(): bool
    {
        return $this->speeds === [] && $this->proofs === [] && $this->sustained === [];
    }

    /** @return list<LongWriteEvidence> the write passes of proofs among them */
    public function longWrites(): array
    {
        $passes = array_map(fn (ProofEvidence $proof): ?LongWriteEvidence => $proof->longWrite(), $this->proofs);

        return [...$this->sustained, ...array_values(array_filter($passes, fn (?LongWriteEvidence $one): bool => $one !== null))];
    }

    /** @return list<Finding> of the label, of where it comes from and of what was seen, the gravest first */
    public function findings(): array
    {
        $seen = array_map(fn (Seen $one): ?Finding => $one->finding($this->label), $this->seen);
        $findings = [
            ...Contradictions::of($this->label),
            ...$this->house->origin,
            ...$this->shown(),
            ...array_values(array_filter($seen, fn (?Finding $one): bool => $one !== null)),
        ];
        usort($findings, fn (Finding $a, Finding $b): int => [$a->severity->rank(), $a->id] <=> [$b->severity->rank(), $b->id]);

        return $findings;
    }

    /** @return list<Finding> that the medium shows far more than its label says */
    private function shown(): array
    {
        $most = null;
        foreach ($this->proofs as $proof) {
            $shown = $proof->record->extent->shown;
            $most = $shown !== null && ! $proof->record->extent->isFolder && $shown->count > ($most->count ?? 0) ? $shown : $most;
        }

        return $most instanceof Bytes && $most->shareOf($this->label->capacity) > self::MORE
            ? [
                Finding::doubt(
                    'shows-more',
                    "It shows {$most->decimal()}, more than the {$this->label->capacity->decimal()} on its label: the label may ".
                    'belong to another card.',
                    'common practice, no source',
                ),
            ]
            : [];
    }
}
