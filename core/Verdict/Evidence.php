<?php

declare(strict_types=1);

namespace Tally\Verdict;

use Tally\Inspection\SeatingTrouble;
use Tally\Inspection\Seen;
use Tally\Label\Contradictions;
use Tally\Label\Finding;
use Tally\Label\Label;
use Tally\Label\Severity;

/** Everything that is known of one card. */
final readonly class Evidence
{
    /**
     * @param  list<SpeedEvidence>  $speeds
     * @param  list<ProofEvidence>  $proofs
     * @param  list<Finding>  $origin  what speaks against where it comes from
     * @param  list<Seen>  $seen  what was seen on it; of a question that is answered anew, only what counts
     * @param  list<SustainedEvidence>  $sustained
     * @param  bool  $looked  whether every question of an inspection has an answer
     */
    public function __construct(
        public Label $label,
        public array $speeds = [],
        public array $proofs = [],
        public array $origin = [],
        public array $seen = [],
        public bool $looked = true,
        public array $sustained = [],
    ) {}

    /** @return list<Finding> of the label, of where it comes from and of what was seen, the gravest first */
    public function findings(): array
    {
        $seen = array_map(fn (Seen $one): ?Finding => $one->finding($this->label), $this->seen);
        $findings = [...Contradictions::of($this->label), ...$this->origin, ...array_values(array_filter($seen, fn (?Finding $one): bool => $one !== null))];
        usort($findings, fn (Finding $a, Finding $b): int => $a->severity->rank() <=> $b->severity->rank());

        return $findings;
    }

    /** @return list<Finding> */
    public function contradictions(): array
    {
        return array_values(array_filter($this->findings(), fn (Finding $finding): bool => $finding->severity === Severity::Contradiction));
    }

    /** @return list<Reason> what was seen on it that strikes it out */
    public function troubles(): array
    {
        $reasons = [...array_map(fn (Seen $one): ?Reason => $one->reason(), $this->seen), SeatingTrouble::reason($this->seen)];

        return array_values(array_filter($reasons, fn (?Reason $reason): bool => $reason !== null));
    }
}
