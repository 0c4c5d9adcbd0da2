<?php

declare(strict_types=1);

namespace Tally\Label;

use Tally\Quantity\Rate;

/** Reads a label against the standards and against itself. */
final readonly class Contradictions
{
    /** @return list<Finding> the gravest first */
    public static function of(Label $label): array
    {
        $findings = [
            ...self::contactRows($label),
            ...self::marksOnBus($label),
            ...self::family($label),
            ...self::claimsOnBus($label),
            ...self::writeUnderFloor($label),
            ...self::marksAgainstEachOther($label),
            ...self::ratingAgainstSpeed($label),
            ...self::missingSpeeds($label),
        ];
        usort($findings, fn (Finding $a, Finding $b): int => $a->severity->rank() <=> $b->severity->rank());

        return $findings;
    }

    /** @return list<Finding> */
    private static function contactRows(Label $label): array
    {
        if ($label->bus === null || $label->bus->contactRows() !== 2 || $label->contactRows !== 1) {
            return [];
        }

        return [new Finding('contact-rows', Severity::Contradiction,
            "Says {$label->bus->label()} but has one row of contacts; that bus needs two.",
            'SD physical-layer specification, contacts')];
    }

    /** @return list<Finding> */
    private static function marksOnBus(Label $label): array
    {
        $findings = [];
        foreach ($label->marks as $mark) {
            $needsRow = in_array($mark, [Mark::V60, Mark::V90], true);
            $wrongForm = $mark->isSecureDigital() !== $label->form->isSecureDigital();
            $bus = $label->bus;
            $wrongBus = $bus !== null && $mark->buses() !== [] && ! in_array($bus, $mark->buses(), true);
            if ($wrongForm) {
                $findings[] = new Finding('mark-on-form', Severity::Contradiction,
                    "{$mark->value} is not a mark of {$label->form->label()} cards.", 'SD Association speed classes; CompactFlash Association VPG profiles');
            } elseif ($wrongBus) {
                $findings[] = new Finding('mark-on-bus', Severity::Contradiction,
                    "{$mark->value} cannot stand on a {$bus->label()} card; it is defined from {$mark->buses()[0]->label()} up.",
                    'SD Association speed-class tables');
            } elseif ($bus === null && $needsRow) {
                $findings[] = new Finding('mark-without-bus', Severity::Doubt,
                    "{$mark->value} is defined from UHS-II up, and no bus is printed: turn it over, two rows of contacts must be there.",
                    'SD Association speed-class tables');
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private static function family(Label $label): array
    {
        $family = $label->family;
        if ($family === null || $family->holds($label->capacity)) {
            return [];
        }

        return [new Finding('capacity-outside-family', Severity::Contradiction,
            "{$family->value} ends at {$family->most()->decimal()}".($family === Family::Sd ? '' : " and begins above {$family->above()->decimal()}")
            ."; the label says {$label->capacity->decimal()}.",
            'SD Association capacity families')];
    }

    /** @return list<Finding> */
    private static function claimsOnBus(Label $label): array
    {
        $findings = [];
        $bus = $label->bus;
        if ($bus === null && $label->form === Form::Ssd) {
            return []; // such a drive may hang on any link
        }
        // Without a bus on the label, a claim only contradicts what the shape itself could ever carry.
        $most = $bus?->ceiling()->nominal ?? self::fastest($label->form);
        $carrier = $bus?->label() ?? 'the fastest '.$label->form->label().' bus';
        foreach (['read' => $label->readClaim(), 'write' => $label->write] as $way => $claim) {
            // Makers round the ceiling itself: 984.6 is printed as 985.
            if ($claim === null || $claim->megabytes() <= max($most->megabytes(), round($most->megabytes()))) {
                continue;
            }
            $double = Bus::UhsIDouble->ceiling()->nominal;
            if ($bus === Bus::UhsI && ! $double->isBelow($claim)) {
                $findings[] = new Finding('needs-matching-reader', Severity::Note,
                    "A {$way} of {$claim->print()} is beyond standard UHS-I: it needs the maker’s matching reader; about 90 MB/s elsewhere.",
                    'common practice, no source');
            } else {
                $findings[] = new Finding('claim-above-bus', Severity::Contradiction,
                    "Claims to {$way} at {$claim->print()}; {$carrier} ends at {$most->print()}.", $bus?->source() ?? 'bus ceilings of the form');
            }
        }

        return $findings;
    }

    private static function fastest(Form $form): Rate
    {
        $fastest = $form->buses()[0]->ceiling()->nominal;
        foreach ($form->buses() as $bus) {
            $fastest = $fastest->isBelow($bus->ceiling()->nominal) ? $bus->ceiling()->nominal : $fastest;
        }

        return $fastest;
    }

    /** @return list<Finding> */
    private static function writeUnderFloor(Label $label): array
    {
        $top = $label->topMark();
        if ($top === null || $label->write === null || ! $label->write->isBelow($top->floor())) {
            return [];
        }

        return [new Finding('write-under-floor', Severity::Contradiction,
            "Claims to write {$label->write->print()}, under the {$top->floor()->print()} that {$top->value} promises.", 'SD Association speed-class tables')];
    }

    /** @return list<Finding> the U and V marks of one card promise the same or the V mark more */
    private static function marksAgainstEachOther(Label $label): array
    {
        $of = fn (string $letter): array => array_values(array_filter($label->marks, fn (Mark $mark): bool => preg_match("/^{$letter}\\d/", $mark->value) === 1));
        [$us, $vs] = [$of('U'), $of('V')];
        if ($us === [] || $vs === []) {
            return [];
        }
        $u = $us[count($us) - 1];
        $v = $vs[count($vs) - 1];

        // U3 means 30 and up, so every V from 30 fits it; U1 is printed below that.
        return ($u === Mark::U3) === ! $v->floor()->isBelow(Mark::V30->floor()) ? [] : [new Finding('marks-disagree', Severity::Doubt,
            "{$u->value} promises {$u->floor()->print()} and {$v->value} {$v->floor()->print()}: makers print marks that agree.", 'SD Association speed-class tables; common practice')];
    }

    /** @return list<Finding> */
    private static function ratingAgainstSpeed(Label $label): array
    {
        if ($label->times === null || $label->read === null) {
            return [];
        }
        $share = Rate::times($label->times)->over($label->read);

        return abs($share - 1) <= 0.10 ? [] : [new Finding('rating-and-speed', Severity::Doubt,
            rtrim(rtrim(number_format($label->times, 1, '.', ''), '0'), '.').'x is '.Rate::times($label->times)->print()."; the label says {$label->read->print()}.",
            '1x = 150 kB/s: common practice, no source')];
    }

    /** @return list<Finding> */
    private static function missingSpeeds(Label $label): array
    {
        return match (true) {
            $label->readClaim() === null && $label->write === null && $label->sustained === null => [new Finding('no-speed', Severity::Doubt,
                'No speed is printed at all; a maker proud of a speed prints it.', 'common practice, no source')],
            $label->write === null && $label->sustained === null => [new Finding('only-read', Severity::Note,
                'Only a read speed is printed: the write speed must be measured.', 'common practice, no source')],
            $label->sustained === null && $label->topMark() === null => [new Finding('only-peak', Severity::Note,
                'Only “up to” speeds are printed and no sustained one: label speeds are burst figures.', 'common practice, no source')],
            default => [],
        };
    }
}
