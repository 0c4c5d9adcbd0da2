<?php

declare(strict_types=1);

namespace Tally\Verdict;

/** Derived from label and evidence, never typed. */
final readonly class Verdict
{
    /** @param  non-empty-list<Reason>  $reasons  the ones that carry the verdict first */
    public function __construct(public VerdictKind $kind, public array $reasons, public Step $next) {}
}
