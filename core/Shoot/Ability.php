<?php

declare(strict_types=1);

namespace Tally\Shoot;

use Tally\Evidence\Evidence;
use Tally\Label\Label;
use Tally\Measured\Attribution;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Verdict\Judge;
use Tally\Verdict\KeptUp;
use Tally\Verdict\VerdictKind;

/** What a card can do for a camera, as far as it is known: its label, its verdict, what was proven and what it keeps up. */
final readonly class Ability
{
    /**
     * @param  VerdictKind|null  $verdict  null of a label alone, before anything is bought
     * @param  Bytes|null  $proven  what was written and read back in one whole proof; null where nothing was
     * @param  list<CardFloor>  $floors  of long writes that count, the lowest first
     */
    public function __construct(
        public Label $label,
        public ?VerdictKind $verdict = null,
        public ?Bytes $proven = null,
        public array $floors = [],
        private ?Evidence $evidence = null,
    ) {}

    /** @param  VerdictKind|null  $counts  what counts as its verdict, where a person said otherwise */
    public static function of(Evidence $evidence, ?VerdictKind $counts = null): self
    {
        return new self(
            $evidence->label,
            $counts ?? Judge::judge($evidence)->kind,
            self::proven($evidence),
            array_map(
                fn (array $one): CardFloor => new CardFloor(...$one),
                KeptUp::among($evidence),
            ),
            evidence: $evidence,
        );
    }

    /** A label alone: “would a V60 do?” */
    public static function ofLabel(Label $label): self
    {
        return new self($label);
    }

    /** What it holds: what was proven, or what its label says where nothing was. */
    public function capacity(): Bytes
    {
        return $this->proven ?? $this->label->capacity;
    }

    /** Whether a figure that falls short is the card's own doing, and not the chain's: handbook § 6 rule 3. */
    public function isToBlame(CardFloor $floor, Rate $need): bool
    {
        return $this->evidence !== null &&
            (new Attribution($floor->write->chain, $this->label, $this->evidence->house->reached(...), $this->evidence->house->by))
                ->isTheCards($floor->rate, $need);
    }

    /** The lowest window that its class would be judged by; null where no long write counts. */
    public function lowest(): ?CardFloor
    {
        return $this->floors[0] ?? null;
    }

    /** The greatest of whole proofs: a later one may have been of a file system that gives less. */
    private static function proven(Evidence $evidence): ?Bytes
    {
        $most = null;
        foreach ($evidence->proofs as $proof) {
            $held = $proof->record->isWhole() ? $proof->record->diagnosis->capacity : null;
            $most = $held !== null && ($most === null || $held->count > $most->count) ? $held : $most;
        }

        return $most;
    }
}
