<?php

declare(strict_types=1);

namespace Tally\Verdict;

use Tally\Evidence\Evidence;
use Tally\Reading\Suspicion;

/** Names what was struck out or left out, and why: nothing disappears unsaid. Handbook § 6 rules 9 and 10. */
final readonly class ExcludedFigures
{
    /** @return list<Reason> notes */
    public static function notes(Evidence $evidence): array
    {
        $notes = [];
        foreach ($evidence->speeds as $speed) {
            foreach ($evidence->reading($speed)->ways() as $way => $reading) {
                $topic = $way === 'read' ? Topic::Read : Topic::Write;
                if ($reading->isStruck()) {
                    $notes[] = Reason::of(
                        ReasonId::FigureStruck,
                        $topic,
                        ['way' => $way, 'measured' => $reading->median(), 'why' => $reading->why()],
                        $speed->describe(),
                    );
                }
                if ($reading->isLeftOut) {
                    $notes[] = Reason::of(
                        ReasonId::ReadingLeftOut,
                        $topic,
                        ['way' => $way, 'which' => $reading->apart()],
                        $speed->describe(),
                    );
                }
            }
        }
        foreach ($evidence->proofs as $proof) {
            $paper = $proof->chain->mostOnPaper($evidence->label)->nominal;
            foreach (
                [
                    'write' => $proof->longWrite() === null ? null : $proof->record->write->rate(),
                    'read' => $proof->record->screen === null ? $proof->record->read->rate() : null,
                ] as $way => $rate
            ) {
                if ($rate !== null && $paper->isBelow($rate)) {
                    $notes[] = Reason::of(
                        ReasonId::FigureStruck,
                        $way === 'read' ? Topic::Read : Topic::Write,
                        ['way' => $way, 'measured' => $rate, 'why' => Suspicion::FasterThanPaper->sentence()],
                        $proof->describe(),
                    );
                }
            }
        }

        return $notes;
    }
}
