<?php

declare(strict_types=1);

namespace Tally\Label;

use Tally\Quantity\Rate;

/** Reads the speeds on a label against its bus, its marks and one another. Handbook § 3. */
final readonly class SpeedClaims
{
    private const PRACTICE = 'common practice, no source';

    private const CLASSES = 'SD Association speed-class tables';

    /** @return list<Finding> */
    public static function of(Label $label): array
    {
        return [
            ...self::onBus($label),
            ...self::underFloor($label),
            ...self::againstEachOther($label),
            ...self::ratingAgainstSpeed($label),
            ...self::missing($label),
        ];
    }

    /** @return list<Finding> */
    private static function onBus(Label $label): array
    {
        $findings = [];
        $bus = $label->bus;
        if ($bus === null && $label->form === Form::Ssd) {
            return []; // such a drive may hang on any link
        }
        // Without a bus on the label, a claim only contradicts what the shape itself could ever carry.
        $most = $bus === null ? self::fastest($label->form) : self::ceiling($label, $bus);
        $carrier = $bus?->label() ?? 'the fastest '.$label->form->label().' bus';
        $read = $label->readClaim();
        $double = Bus::UhsIDouble->ceiling()->nominal;
        if ($bus === Bus::UhsI && $read !== null && $most->isBelow($read) && ! $double->isBelow($read)) {
            $findings[] = Finding::note(
                'needs-matching-reader',
                "A read of {$read->print()} is beyond standard UHS-I: it needs the maker’s matching reader; about 90 MB/s elsewhere.",
                self::PRACTICE,
            );
            // There it writes as fast, too.
            $most = $double;
        }
        $top = $label->topMark();
        if ($top !== null && $top->isDefinedOver($bus ?? $label->form->buses()[0]) && $most->isBelow($top->floor())) {
            $findings[] = Finding::contradiction(
                'mark-above-bus',
                "{$top->value} promises to keep up {$top->floor()->print()}; {$carrier} ends at {$most->print()}.",
                $bus?->source() ?? 'bus ceilings of the form',
            );
        }
        foreach (['read' => $read, 'write' => $label->write, 'keep up' => $label->sustained] as $way => $claim) {
            // Makers round the ceiling itself: 984.6 is printed as 985.
            if ($claim !== null && $claim->megabytes() > max($most->megabytes(), round($most->megabytes()))) {
                $findings[] = Finding::contradiction(
                    $way === 'keep up' ? 'sustained-above-bus' : 'claim-above-bus',
                    "Claims to {$way} ".($way === 'keep up' ? '' : 'at ')."{$claim->print()}; {$carrier} ends at {$most->print()}.",
                    $bus?->source() ?? 'bus ceilings of the form',
                );
            }
        }

        return $findings;
    }

    /** Of a bus that is one of several the fastest. */
    private static function ceiling(Label $label, Bus $bus): Rate
    {
        return $bus === Bus::Express ? $label->mostOnPaper() : $bus->ceiling()->nominal;
    }

    private static function fastest(Form $form): Rate
    {
        $fastest = $form->buses()[0]->ceiling()->nominal;
        foreach ($form->buses() as $bus) {
            $fastest = $fastest->isBelow($bus->ceiling()->nominal) ? $bus->ceiling()->nominal : $fastest;
        }

        return $fastest;
    }

    /** @return list<Finding> a speed is printed that is less than a mark beside it promises */
    private static function underFloor(Label $label): array
    {
        $findings = [];
        $top = $label->topMark();
        $read = $label->readClaim();
        if ($top !== null && $read !== null && $read->isBelow($top->floor())) {
            $findings[] = Finding::doubt(
                'read-under-floor',
                "Claims to read {$read->print()}, under the {$top->floor()->print()} of writing that {$top->value} promises: cards read ".
                    'at least as fast as they write.',
                self::PRACTICE,
            );
        }
        foreach (
            [
                'write-under-floor' => ['write', $label->write],
                'sustained-under-floor' => ['keep up', $label->sustained],
            ] as $id => [$way, $claim]
        ) {
            if ($top !== null && $claim !== null && $claim->isBelow($top->floor())) {
                $findings[] = Finding::contradiction(
                    $id,
                    "Claims to {$way} {$claim->print()}, under the {$top->floor()->print()} that {$top->value} promises.",
                    self::CLASSES,
                );
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private static function againstEachOther(Label $label): array
    {
        $findings = [];
        [$read, $write, $sustained] = [$label->readClaim(), $label->write, $label->sustained];
        if ($write !== null && $sustained !== null && $write->isBelow($sustained)) {
            $findings[] = Finding::contradiction(
                'sustained-above-write',
                "Claims to keep up {$sustained->print()} and to write at {$write->print()} at the most.",
                'what is kept up is no more than the most',
            );
        }
        if ($read !== null && $write !== null && $read->isBelow($write)) {
            $findings[] = Finding::doubt(
                'write-above-read',
                "Claims to write at {$write->print()} and to read at {$read->print()} only: cards read at least as fast as they write.",
                self::PRACTICE,
            );
        }

        return $findings;
    }

    /** @return list<Finding> */
    private static function ratingAgainstSpeed(Label $label): array
    {
        if ($label->times === null || $label->read === null) {
            return [];
        }
        $share = Rate::times($label->times)->over($label->read);

        return abs($share - 1) <= 0.1
            ? []
            : [
                Finding::doubt(
                    'rating-and-speed',
                    rtrim(rtrim(number_format($label->times, 1, '.', ''), '0'), '.').
                        'x is '.
                        Rate::times($label->times)->print().
                        "; the label says {$label->read->print()}.",
                    '1x = 150 kB/s: common practice, no source',
                ),
            ];
    }

    /** @return list<Finding> */
    private static function missing(Label $label): array
    {
        [$read, $write, $sustained] = [$label->readClaim(), $label->write, $label->sustained];
        // Nothing is missing for sure where something was not understood.
        if ($label->hasUnread) {
            return [];
        }
        if ($read === null && $write === null && $sustained === null) {
            return [Finding::doubt('no-speed', 'No speed is printed at all; a card that is fast usually says how fast.', self::PRACTICE)];
        }

        return array_values(
            array_filter(
                [
                    $write !== null || $sustained !== null
                        ? null
                        : Finding::note('only-read', 'Only a read speed is printed: the write speed must be measured.', self::PRACTICE),
                    // A mark says what is kept up at the least.
                    $sustained !== null || $write === null || $label->topMark() !== null
                        ? null
                        : Finding::note(
                            'only-peak',
                            'Only “up to” speeds are printed and no sustained one: label speeds are burst figures.',
                            self::PRACTICE,
                        ),
                ],
                fn (?Finding $one): bool => $one !== null,
            ),
        );
    }
}
