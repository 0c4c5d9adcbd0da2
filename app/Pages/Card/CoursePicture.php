<?php

declare(strict_types=1);

namespace App\Pages\Card;

use App\Models\Cards\Card;
use App\Models\Runs\HeatReading;
use App\Models\Runs\Run;
use App\Models\Runs\RunSample;
use App\Models\Runs\RunState;
use Illuminate\Support\Collection;
use Tally\Label\Mark;
use Tally\Label\MarkKind;
use Tally\Quantity\Bytes;
use Tally\Reading\Course\Course;
use Tally\Reading\Course\Plateau;
use Tally\Reading\Course\Warmth;
use Tally\Record\SustainedRecord;

/**
 * The trace of a card's newest sustained run.
 *
 * @phpstan-type CourseProps array{ // Speed along the bytes of one long write, with what it shows. Bytes from the start, MB/s.
 *     size: float,
 *     points: list<array{float, float}>, // end offset, MB/s
 *     floor: float|null, // the lowest mean over a window; null when too little was written to tell
 *     floorFrom: float,
 *     floorTo: float,
 *     plateaus: list<array{float, float, float}>, // from, to, MB/s
 *     cliffs: list<float>,
 *     classes: list<array{string, float}>, // the other classes of such a card, with their floors in MB/s
 *     markFloor: float|null, // what the highest mark of the label promises
 *     mark: string|null,
 *     caption: string,
 *     summary: string, // the same in words
 *     heat: list<array{float, float}>, // bytes from the start, °C, as the medium told
 *     noted: list<array{float, float}>, // the same as somebody read it off
 * }
 */
final readonly class CoursePicture
{
    /**
     * @param  Collection<int, Run>  $runs
     * @return CourseProps|null
     */
    public static function of(Card $card, Collection $runs): ?array
    {
        $run = $runs->last(fn (Run $run): bool => $run->sustained()?->write->bytes->isZero() === false && $run->counts());

        return $run === null ? null : self::ofRun($card, $run);
    }

    /** @return CourseProps|null */
    public static function ofRun(Card $card, Run $run): ?array
    {
        $sample = RunSample::query()->find($run->id);
        $record = $run->sustained();
        if ($record === null || $record->write->bytes->isZero() || $sample === null) {
            return null;
        }
        $course = $record->course;
        // Each time it is asked for, it is read from JSON anew.
        $traces = $sample->traces;
        [$heat, $noted] = [$traces['heat'] ?? [], self::noted($run)];
        $warmth = Warmth::along(new Course($traces['write']), [...$heat, ...$noted], $course->longestPlateau());
        $mark = $card->label()->topMark();

        return [
            'size' => (float) $record->write->bytes->count,
            'points' => array_map(fn (array $point): array => [$point[0], $point[1] / 1e6], $traces['write']),
            'floor' => $course->floor?->megabytes(),
            'floorFrom' => $course->from,
            'floorTo' => $course->to,
            'plateaus' => array_map(fn (Plateau $one): array => [$one->from, $one->to, $one->rate->megabytes()], $course->plateaus),
            'cliffs' => $course->cliffs(),
            'classes' => self::classes($card, $mark),
            'markFloor' => $mark?->floor()->megabytes(),
            'mark' => $mark?->value,
            'caption' => "{$record->write->bytes->decimal()} written in {$record->write->span->print()}, {$run->name()}".
                ($run->state === RunState::Done ? '' : " ({$run->state->value})"),
            'summary' => trim(self::summary($record).' '.($warmth?->words() ?? '')),
            'heat' => $heat,
            'noted' => $noted,
        ];
    }

    /** @return list<array{string, float}> one for each floor */
    private static function classes(Card $card, ?Mark $own): array
    {
        $classes = [];
        $isSd = $card->form->isSecureDigital();
        foreach (Mark::sold() as $mark) {
            // The least of each kind is under what anybody would look at a course for.
            $isDrawn = $mark->kind() === ($isSd ? MarkKind::VideoClass : MarkKind::Vpg) && $mark->floor()->megabytes() >= ($isSd ? 10 : 65);
            if ($isDrawn && ($own === null || $mark->floor()->megabytes() !== $own->floor()->megabytes())) {
                $classes[] = [$mark->value, $mark->floor()->megabytes()];
            }
        }

        return $classes;
    }

    /** @return list<array{float, float}> bytes from the start, °C: what somebody read off */
    private static function noted(Run $run): array
    {
        $noted = $run->heat()->whereNotNull('at')->orderBy('at')->get();

        return array_values($noted->map(fn (HeatReading $one): array => [(float) $one->at, $one->celsius])->all());
    }

    public static function summary(SustainedRecord $record): string
    {
        $at = fn (float $bytes): string => Bytes::of((int) $bytes)->decimal();
        $course = $record->course;
        $plateaus = array_map(fn (Plateau $one): string => "{$one->rate->printDown()} up to {$at($one->to)}", $course->plateaus);
        $cliffs = array_map($at, $course->cliffs());

        return implode(
            ' ',
            array_filter(
                [
                    $course->floor === null
                        ? 'Too little was written to tell a sustained floor: it takes five seconds at least.'
                        : "Never under {$course->floor->printDown()} over {$course->window} s, the lowest from {$at($course->from)} to {$at(
                            $course->to,
                        )}.",
                    count($plateaus) < 2 ? null : 'Plateaus: '.implode(', ', $plateaus).'.',
                    $cliffs === [] ? null : 'It falls at '.implode(' and ', $cliffs).': a cache runs out there.',
                    $record->faded === null
                        ? null
                        : 'It fades by '.
                            round(100 * $record->faded).
                            ' % along its longest plateau, as heat does it. A card like that can be too hot to hold.',
                ],
                fn (?string $part): bool => $part !== null,
            ),
        );
    }
}
