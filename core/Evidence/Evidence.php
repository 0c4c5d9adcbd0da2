<?php

declare(strict_types=1);

namespace Tally\Evidence;

use Tally\Inspection\Question;
use Tally\Inspection\Seen;
use Tally\Label\Contradictions;
use Tally\Label\Finding;
use Tally\Label\Label;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Value\Alterable;

/** Everything that is known of one card. The order of runs means nothing; where it matters their dates tell it. */
final readonly class Evidence
{
    use Alterable;

    /** What is printed; and how many rows of contacts somebody saw, unless a figure outweighs that look. */
    public Label $label;

    /** The figure that only two rows of contacts can carry, where somebody saw one. */
    private ?TwoRows $overLook;

    /** A medium that shows so many times its label is another card's: house rule. */
    private const MORE = 1.07;

    /**
     * @param  Label  $asTold  what is printed, with what was seen on the contacts
     * @param  list<SpeedEvidence>  $speeds
     * @param  list<ProofEvidence>  $proofs
     * @param  list<LongWriteEvidence>  $sustained
     * @param  list<Seen>  $seen  what was seen on it; of a question that is answered anew, only what counts
     * @param  bool  $looked  whether every question of an inspection has an answer
     */
    public function __construct(
        private Label $asTold,
        public array $speeds = [],
        public array $proofs = [],
        public array $sustained = [],
        public array $seen = [],
        public bool $looked = true,
        public House $house = new House(),
    ) {
        $this->overLook = TwoRows::shownBy($asTold, $speeds, $proofs);
        $this->label = $this->overLook === null ? $asTold : $asTold->withContactRows(null);
    }

    /** The same, its runs by date and name: they come in any order. */
    public function inOrder(): self
    {
        [$speeds, $proofs, $sustained] = [$this->speeds, $this->proofs, $this->sustained];
        foreach ([&$speeds, &$proofs, &$sustained] as &$runs) {
            usort(
                $runs,
                fn (object $a, object $b): int => [$a->source->on ?? '', $a->describe()] <=> [$b->source->on ?? '', $b->describe()],
            );
        }

        return $this->with(speeds: $speeds, proofs: $proofs, sustained: $sustained);
    }

    /** A speed run of it, with all that is known of the card besides. */
    public function reading(SpeedEvidence $speed): SpeedReading
    {
        $seen = $speed->source->isTyped ? $this->seenToDo() : [];

        return $speed->reading($this->label, $this->house->reached(...), $this->house->by, $seen);
    }

    /** @return array<string, list<Rate>> by way, the medians that devices measured */
    private function seenToDo(): array
    {
        $seen = [];
        foreach ($this->speeds as $speed) {
            foreach ($speed->source->isTyped ? [] : $speed->reading($this->label)->ways() as $way => $reading) {
                if ($reading->isTrusted()) {
                    $seen[$way][] = $reading->median();
                }
            }
        }

        return $seen;
    }

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
            ...array_map($this->named(...), Contradictions::of($this->label)),
            ...$this->house->origin,
            ...$this->shown(),
            ...$this->overLook === null ? [] : [$this->overLook->finding($this->lookedBy())],
            ...array_values(array_filter($seen, fn (?Finding $one): bool => $one !== null)),
        ];
        usort($findings, fn (Finding $a, Finding $b): int => [$a->severity->rank(), $a->id] <=> [$b->severity->rank(), $b->id]);

        return $findings;
    }

    /** Whoever convicts by a look is named, with the day. */
    private function named(Finding $finding): Finding
    {
        return $finding->id === 'contact-rows' ? $finding->seenBy($this->lookedBy()) : $finding;
    }

    /** @return string|null `Wren on 3 Nov 2026`: who counted the rows of contacts last */
    private function lookedBy(): ?string
    {
        foreach (array_reverse($this->seen) as $one) {
            if ($one->question === Question::ContactRows) {
                return "{$one->by} on {$one->on}";
            }
        }

        return null;
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
