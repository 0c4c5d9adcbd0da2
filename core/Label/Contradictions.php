<?php

declare(strict_types=1);

namespace Tally\Label;

/** Reads a label against the standards and against itself. Handbook § 3. */
final readonly class Contradictions
{
    private const PRACTICE = 'common practice, no source';

    private const CLASSES = 'SD Association speed-class tables';

    /** @return list<Finding> the gravest first */
    public static function of(Label $label): array
    {
        $findings = [
            ...self::contactRows($label),
            ...self::marksOnBus($label),
            ...self::busOnForm($label),
            ...self::units($label),
            ...self::family($label),
            ...SpeedClaims::of($label),
            ...self::marksAgainstEachOther($label),
            ...self::classUnderMark($label),
        ];
        usort($findings, fn (Finding $a, Finding $b): int => $a->severity->rank() <=> $b->severity->rank());

        return $findings;
    }

    /** @return list<Finding> one row was seen, and something is printed that needs two */
    private static function contactRows(Label $label): array
    {
        if ($label->contactRows === 2 && $label->bus?->contactRows() === 1) {
            return [
                Finding::doubt(
                    'rows-without-bus',
                    "It has two rows of contacts, and {$label->bus->label()} is printed, which has one: another ".
                        'card’s label, or print that says too little.',
                    'SD physical-layer specification, contacts',
                ),
            ];
        }
        if ($label->contactRows !== 1 || ! $label->form->isSecureDigital()) {
            return [];
        }
        $needs = array_map(
            fn (Mark $mark): string => $mark->value,
            array_values(array_filter($label->marks, fn (Mark $mark): bool => $mark->needsTwoRows())),
        );
        if ($label->bus?->contactRows() === 2) {
            array_unshift($needs, $label->bus->label());
        }
        $double = Bus::UhsIDouble->ceiling()->nominal;
        $claim = $label->readClaim();
        if ($needs === [] && $claim !== null && $double->isBelow($claim)) {
            $needs[] = "a read of {$claim->print()}";
        }

        return $needs === []
            ? []
            : [
                Finding::contradiction(
                    'contact-rows',
                    'It has one row of contacts, which is UHS-I at the most, and says '.implode(' and ', $needs).': that needs two.',
                    'SD physical-layer specification, contacts',
                ),
            ];
    }

    /** @return list<Finding> */
    private static function marksOnBus(Label $label): array
    {
        $findings = [];
        $bus = $label->bus;
        foreach ($label->marks as $mark) {
            if ($mark->isSecureDigital() !== $label->form->isSecureDigital()) {
                $findings[] = Finding::contradiction(
                    'mark-on-form',
                    "{$mark->value} is not a mark of {$label->form->label()} cards.",
                    'SD Association speed classes; CompactFlash Association VPG profiles',
                );
            } elseif ($bus !== null && ! $mark->isDefinedOver($bus)) {
                $findings[] = Finding::contradiction(
                    'mark-on-bus',
                    "{$mark->value} cannot stand on a {$bus->label()} card; it is defined from {$mark->buses()[0]->label()} up.",
                    self::CLASSES,
                );
            } elseif ($bus === null && $label->contactRows === null && $mark->needsTwoRows()) {
                $findings[] = Finding::doubt(
                    'mark-without-bus',
                    "{$mark->value} is defined from {$mark->buses()[0]->label()} up, and no bus is printed: turn it over, two rows ".
                    'of contacts must be there.',
                    self::CLASSES,
                );
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private static function family(Label $label): array
    {
        $family = $label->family;
        if ($family === null || $family->holds($label->capacity) || ($label->inDecimal !== null && $family->holds($label->inDecimal))) {
            return [];
        }

        return [
            Finding::contradiction(
                'capacity-outside-family',
                "{$family->value} ends at {$family->most()->decimal()}".
                    ($family === Family::Sd ? '' : " and begins above {$family->above()->decimal()}").
                    "; the label says {$label->capacity->decimal()}.",
                'SD Association capacity families',
            ),
        ];
    }

    /** @return list<Finding> */
    private static function busOnForm(Label $label): array
    {
        $bus = $label->bus;

        return $bus === null || in_array($label->form, $bus->forms(), true)
            ? []
            : [
                Finding::contradiction(
                    'bus-on-form',
                    "{$bus->label()} is no bus of {$label->form->label()} cards.",
                    $bus->source(),
                ),
            ];
    }

    /** @return list<Finding> */
    private static function units(Label $label): array
    {
        return $label->inDecimal === null
            ? []
            : [
                Finding::doubt(
                    'binary-units',
                    "Its capacity stands in binary units, {$label->capacity->decimal()}: makers print {$label->inDecimal->decimal()}. ".
                        'Look at the card, and type what is printed.',
                    'IEC 80000-13 for the units; that makers print decimal ones is common practice, no source',
                ),
            ];
    }

    /** @return list<Finding> the U mark asks more than the V mark beside it */
    private static function marksAgainstEachOther(Label $label): array
    {
        [$u, $v] = [$label->highest(MarkKind::UhsClass), $label->highest(MarkKind::VideoClass)];

        return $u === null || $v === null || ! $v->floor()->isBelow($u->floor())
            ? []
            : [
                Finding::doubt(
                    'marks-disagree',
                    "{$u->value} promises {$u->floor()->print()} and {$v->value} only {$v->floor()->print()}: makers print marks ".
                    'that agree.',
                    self::CLASSES.'; common practice',
                ),
            ];
    }

    /** @return list<Finding> a C class is printed beside a mark that asks more */
    private static function classUnderMark(Label $label): array
    {
        $class = $label->highest(MarkKind::SpeedClass);
        $more = $label->topMark();

        return $class === null || $more === null || ! $class->floor()->isBelow($more->floor())
            ? []
            : [
                Finding::note(
                    'class-under-mark',
                    "{$class->value} says at least {$class->floor()->print()}; {$more->value} on the same label ".
                    "asks {$more->floor()->print()}, and that counts.",
                    self::PRACTICE,
                ),
            ];
    }
}
