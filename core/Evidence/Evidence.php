<?php

declare(strict_types=1);

namespace Tally\Verdict;

use Closure;
use Tally\Inspection\SeatingTrouble;
use Tally\Inspection\Seen;
use Tally\Label\Contradictions;
use Tally\Label\Finding;
use Tally\Label\Label;
use Tally\Label\Severity;
use Tally\Quantity\Rate;

/** Everything that is known of one card. */
final readonly class Evidence
{
    /**
     * @param  list<SpeedEvidence>  $speeds
     * @param  list<ProofEvidence>  $proofs
     * @param  list<Finding>  $origin  what speaks against where it comes from
     * @param  list<Seen>  $seen  what was seen on it; of a question that is answered anew, only what counts
     * @param  list<SustainedEvidence>  $sustained
     * @param  (Closure(): list<Reach>)|null  $reaches  what the kit could show of it, the fastest first: asked only where a chain was too slow
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
        private ?Closure $reaches = null,
    ) {}

    /** Which reader of the kit could show a speed that the one it was measured in could not. */
    public function whereItCouldShow(Rate $promise): string
    {
        $reaches = $this->reaches === null ? [] : ($this->reaches)();
        $able = array_filter($reaches, fn (Reach $reach): bool => ! $reach->usable->isBelow($promise));
        // The slowest that is fast enough, so that the fastest reader stays free.
        $least = array_pop($able);
        $best = $reaches[0] ?? null;

        return match (true) {
            $this->reaches === null => '',
            $least !== null => "{$least->name} could show it, up to {$least->usable->print()}.",
            $best !== null => "Nothing in the kit could show it: the best is {$best->name}, up to {$best->usable->print()}.",
            default => 'Nothing in the kit takes it.',
        };
    }

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
