<?php

declare(strict_types=1);

namespace App\Practice;

use App\Evidence\ProofWords;
use Tally\Evidence\LongWriteEvidence;
use Tally\Evidence\ProofEvidence;
use Tally\Evidence\SpeedEvidence;
use Tally\Practice\Exercise;
use Tally\Practice\Move;
use Tally\Practice\MoveKind;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;

/** What came of a move, in words, and without saying what it means. */
final readonly class Findings
{
    public static function of(Exercise $exercise, Move $move): string
    {
        if ($move->kind === MoveKind::Inspect) {
            return ($exercise->card->rows === 1 ? 'One row' : 'Two rows').' of contacts; it seats well.';
        }
        $evidence = $exercise->evidence([$move]);

        return match (true) {
            $evidence->sustained !== [] => self::long($evidence->sustained[0]),
            $evidence->proofs !== [] => self::proof($evidence->proofs[0], $evidence->label->capacity),
            default => self::speeds($evidence->speeds[1]),
        };
    }

    public static function speeds(SpeedEvidence $run): string
    {
        return 'Write '.self::rates($run->record->writes).'; read '.self::rates($run->record->reads).' MB/s.';
    }

    private static function long(LongWriteEvidence $run): string
    {
        $floor = $run->course->floor;

        return "{$run->written->decimal()} written".
            ($floor === null ? '.' : "; the lowest {$run->course->window} seconds {$floor->printDown()}.");
    }

    private static function proof(ProofEvidence $proof, Bytes $label): string
    {
        $read = $proof->readRate();
        $floor = $proof->longWrite()?->course->floor;

        return ProofWords::summary($proof->record).
            ($read === null ? '' : " Read back at {$read->print()}").
            ($read === null || $floor === null ? '' : ", written at {$floor->printDown()} at the lowest").
            ($read === null ? '' : '.');
    }

    /** @param  list<float>  $rates  bytes a second */
    private static function rates(array $rates): string
    {
        return implode(', ', array_map(fn (float $rate): string => number_format(Rate::bytesPerSecond($rate)->megabytes(), 1), $rates));
    }
}
