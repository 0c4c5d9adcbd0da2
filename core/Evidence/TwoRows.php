<?php

declare(strict_types=1);

namespace Tally\Evidence;

use Tally\Label\About;
use Tally\Label\Bus;
use Tally\Label\Finding;
use Tally\Label\Label;
use Tally\Measured\Chain;
use Tally\Measured\Way;
use Tally\Quantity\Rate;

/**
 * A figure of this house's own devices that only two rows of contacts can carry, on a card on which somebody saw one: it outweighs
 * that look. Handbook § 6 rule 5.
 */
final readonly class TwoRows
{
    private function __construct(private Rate $rate, private string $evidence) {}

    /**
     * @param  list<SpeedEvidence>  $speeds
     * @param  list<ProofEvidence>  $proofs
     */
    public static function shownBy(Label $label, array $speeds, array $proofs): ?self
    {
        if ($label->contactRows !== 1 || ! $label->form->isSecureDigital() || $label->bus?->contactRows() === 1) {
            return null;
        }
        $two = $label->withContactRows(null);
        foreach ($speeds as $speed) {
            foreach ($speed->source->isTyped ? [] : $speed->reading($two)->ways() as $way => $reading) {
                if ($speed->settles(Way::from($way)) && $reading->isTrusted() && self::needsTwo($reading->median(), $two, $speed->chain)) {
                    return new self($reading->median(), $speed->describe());
                }
            }
        }
        foreach ($proofs as $proof) {
            $rate = $proof->record->forgot && ! $proof->source->isTyped ? $proof->readRate() : null;
            if ($rate !== null && self::needsTwo($rate, $two, $proof->chain)) {
                return new self($rate, $proof->describe());
            }
        }

        return null;
    }

    /** Faster than one row carries in that slot, and no faster than two do. */
    private static function needsTwo(Rate $rate, Label $label, Chain $chain): bool
    {
        $one = Bus::fastestSettled([Bus::UhsI, Bus::UhsIDouble], $chain->slot);

        return $chain->isNamed() &&
            $one !== null &&
            $one->ceiling()->nominal->isBelow($rate) &&
            ! $chain->mostOnPaper($label)->nominal->isBelow($rate);
    }

    public function finding(?string $who): Finding
    {
        return Finding::doubt(
            'contact-rows-outweighed',
            'One row of contacts was seen'.($who === null ? '' : " by {$who}").
                ", and it moved {$this->rate->printDown()}, which only two rows carry: look again.",
            "{$this->evidence}; SD physical-layer specification, contacts",
        )->about(About::Contact);
    }
}
