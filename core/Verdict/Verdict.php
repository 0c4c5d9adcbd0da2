<?php

declare(strict_types=1);

namespace Tally\Verdict;

use JsonSerializable;

/** Derived from label and evidence, never typed. */
final readonly class Verdict implements JsonSerializable
{
    /**
     * @param  non-empty-list<Reason>  $reasons  the ones that carry the verdict first
     * @param  list<Reason>  $notes  what is worth saying and bears nothing
     */
    public function __construct(public VerdictKind $kind, public array $reasons, public array $notes, public Step $next) {}

    /** @return array{verdict: string, next: string, reasons: list<Reason>, notes: list<Reason>} for JSON */
    public function jsonSerialize(): array
    {
        return [
            'verdict' => $this->kind->value,
            'next' => $this->next->words(),
            'reasons' => $this->reasons,
            'notes' => $this->notes,
        ];
    }

    /** What to do next where a person may have said otherwise: who clears a card takes it along, who strikes it out does not. */
    public function nextWhen(?VerdictKind $overruled): Step
    {
        return match (true) {
            $overruled === null || $overruled->isStruckOut() === $this->kind->isStruckOut() => $this->next,
            $overruled->isStruckOut() => Step::SetAside,
            default => Step::Offload,
        };
    }

    /** What it says of a topic at the gravest; null where nothing is said of it. */
    public function on(Topic $topic): ?VerdictKind
    {
        $gravest = null;
        foreach ($this->reasons as $reason) {
            $gravest =
                $reason->topic === $topic && $reason->bearing !== null && ($gravest === null || $reason->bearing->rank() < $gravest->rank())
                    ? $reason->bearing
                    : $gravest;
        }

        return $gravest;
    }
}
