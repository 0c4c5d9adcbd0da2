<?php

declare(strict_types=1);

namespace Tally\Shoot;

use Tally\Label\Bus;
use Tally\Label\Label;
use Tally\Label\Mark;
use Tally\Label\MarkKind;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;
use Tally\Verdict\VerdictKind;

/**
 * Whether a card may record a mode in a slot, by each of the three criteria. Handbook § 7.
 *
 * What the camera refuses, it refuses whatever the card can do: that comes before all criteria, as do a slot that does not take the
 * card and a verdict that strikes it out.
 */
final readonly class MayIt
{
    /** So many times its rate must the lowest window be: house rule. */
    public const MARGIN = 1.25;

    /**
     * @param  list<Bus>  $slot  what the slot speaks
     * @param  float  $margin  on what was measured; a mark and a guarantee are promises of the least, and have none
     */
    public function __construct(private Mode $mode, private array $slot, private float $margin = self::MARGIN) {}

    /** @return array<string, Answer> criterion → what it says */
    public function all(Ability $card): array
    {
        $answers = [];
        foreach (FitCriterion::cases() as $criterion) {
            $answers[$criterion->value] = $this->by($criterion, $card);
        }

        return $answers;
    }

    public function by(FitCriterion $criterion, Ability $card): Answer
    {
        return $this->outright($criterion, $card) ?? match ($criterion) {
            FitCriterion::Mark => $this->promised($criterion, $card, $this->marksOver($card->label)),
            FitCriterion::Guaranteed => $this->promised(
                $criterion,
                $card,
                array_values(array_filter($this->marksOver($card->label), fn (Mark $mark): bool => $mark->isGuarantee())),
            ),
            FitCriterion::Measured => $this->measured($card),
        };
    }

    /** What the lowest window of a card must be: its rate with the margin on it. */
    public function need(): Rate
    {
        return Rate::bytesPerSecond($this->mode->fill->rate->bytesPerSecond * $this->margin);
    }

    private function outright(FitCriterion $criterion, Ability $card): ?Answer
    {
        $bus = $card->label->settleIn($this->slot);

        return match (true) {
            $card->verdict === VerdictKind::Sham => new Answer($criterion, Word::Sham),
            $card->verdict === VerdictKind::Shaky => new Answer($criterion, Word::Shaky),
            $bus === null => new Answer($criterion, Word::DoesNotFit, asked: $card->label->form->label()),
            $bus->ceiling()->nominal->isBelow($this->mode->fill->rate) => new Answer(
                $criterion,
                Word::BusTooSlow,
                $bus->ceiling()->nominal,
                evidence: $bus->source(),
            ),
            $this->mode->demand->refuses && ! $this->mode->demand->isMetBy($card->label) => new Answer(
                $criterion,
                Word::AsksFor,
                asked: $this->mode->demand->words(),
            ),
            default => null,
        };
    }

    /** @return list<Mark> that say anything over the bus that card and slot settle on; A marks speak of random access */
    private function marksOver(Label $label): array
    {
        $bus = $label->settleIn($this->slot);

        return array_values(
            array_filter(
                $label->marks,
                fn (Mark $mark): bool => $bus !== null && $mark->isDefinedOver($bus) && $mark->kind() !== MarkKind::AppClass,
            ),
        );
    }

    /** @param  list<Mark>  $marks */
    private function promised(FitCriterion $criterion, Ability $card, array $marks): Answer
    {
        $top = $missed = $printed = null;
        foreach ($marks as $mark) {
            $floor = $this->under($card, $mark);
            // A mark that the card was seen to fall under promises nothing; a lesser one on it may.
            $missed = $floor === null || $mark->floor()->isBelow($this->mode->fill->rate) ? $missed : new Answer(
                $criterion,
                Word::FallsTo,
                $floor->rate,
                evidence: "{$floor->write->describe()}; {$mark->value} on the label",
            );
            $top = $floor === null && ($top === null || $top->floor()->isBelow($mark->floor())) ? $mark : $top;
            $printed = $printed === null || $printed->floor()->isBelow($mark->floor()) ? $mark : $printed;
        }
        if ($missed !== null && ($top === null || $top->floor()->isBelow($this->mode->fill->rate))) {
            return $missed;
        }
        $top ??= $printed;

        return match (true) {
            $top === null && $criterion === FitCriterion::Guaranteed => new Answer($criterion, Word::NotGuaranteed),
            $top === null => new Answer(
                $criterion,
                Word::NoMark,
                asked: $card->label->marks === [] ? '' : $card->label->settleIn($this->slot)?->label() ?? '',
            ),
            $top->floor()->isBelow($this->mode->fill->rate) => new Answer(
                $criterion,
                Word::PromisesLess,
                $top->floor(),
                evidence: "{$top->value} on the label",
            ),
            default => $this->yes($criterion, $card, "{$top->value} promises {$top->floor()->print()}"),
        };
    }

    /** What it was seen to fall to, under a mark of its own; null where it was not. */
    private function under(Ability $card, Mark $mark): ?CardFloor
    {
        foreach ($card->floors as $floor) {
            if ($floor->rate->isBelow($mark->floor()) && $card->isToBlame($floor, $mark->floor())) {
                return $floor;
            }
        }

        return null;
    }

    /** The worst long write decides; one that fell short over a chain that may have held it says nothing against the card. */
    private function measured(Ability $card): Answer
    {
        $need = $this->need();
        $kept = $open = null;
        foreach ($card->floors as $floor) {
            if (! $floor->rate->isBelow($need)) {
                $kept ??= $floor;
            } elseif ($card->isToBlame($floor, $need)) {
                return $this->falls($card, $floor, $need);
            } else {
                $open = $floor;
            }
        }

        return match (true) {
            $kept !== null => $this->yes(FitCriterion::Measured, $card, $kept->write->describe()),
            $open !== null => new Answer(FitCriterion::Measured, Word::AtLeast, $open->rate, evidence: $open->write->describe()),
            default => new Answer(FitCriterion::Measured, Word::NotMeasured, evidence: 'a sustained run or a full proof would tell'),
        };
    }

    /** It falls under what the mode needs; where that is later than any take lasts, it will do. */
    private function falls(Ability $card, CardFloor $floor, Rate $need): Answer
    {
        $safe = $floor->safeFor($need, $this->mode->fill->rate);
        $clip = $this->mode->clip;
        $safe = $safe->seconds > 0 ? $safe : null;

        return $clip !== null && $safe !== null && $clip->seconds <= $safe->seconds
            ? $this->yes(FitCriterion::Measured, $card, $floor->write->describe(), $safe)
            : new Answer(FitCriterion::Measured, Word::FallsTo, $floor->rate, safe: $safe, evidence: $floor->write->describe());
    }

    private function yes(FitCriterion $criterion, Ability $card, string $evidence, ?Span $safe = null): Answer
    {
        return new Answer(
            $criterion,
            null,
            isUnproven: $card->verdict === VerdictKind::Unproven || $card->verdict === null,
            warns: ! $this->mode->demand->isMetBy($card->label),
            safe: $safe,
            evidence: $evidence,
        );
    }
}
