<?php

declare(strict_types=1);

namespace Tally\Verdict;

use Tally\Label\Label;

/** Everything that is known of one card. */
final readonly class Evidence
{
    /**
     * @param  list<SpeedEvidence>  $speeds
     * @param  list<ProofEvidence>  $proofs
     */
    public function __construct(public Label $label, public array $speeds = [], public array $proofs = []) {}
}
