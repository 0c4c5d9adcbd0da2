<?php

declare(strict_types=1);

namespace Tally\Practice;

/** An exercise and its answer as they go out: docs/practice.schema.json. */
final readonly class Packed
{
    public const FORMAT = 'gritty-tally-practice';

    public const VERSION = 1;

    /** @return array<string, mixed> sizes in bytes, speeds in MB/s, times in seconds */
    public static function set(PracticeSet $set): array
    {
        return [
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'seed' => $set->seed,
            'level' => $set->level?->value,
            'exercises' => array_map(self::exercise(...), $set->exercises),
        ];
    }

    /** @return array<string, mixed> */
    private static function exercise(Exercise $exercise): array
    {
        $answer = $exercise->answer();

        return [
            'level' => $exercise->level->value,
            'seed' => $exercise->seed,
            'label' => $exercise->card->label,
            'first' => ['reader' => $exercise->first->name, 'read' => $exercise->firstFigure()],
            'readers' => array_map(fn (MadeUpReader $reader): array => $reader->inCase(), $exercise->readers()),
            'moves' => array_map(
                fn (Move $move): array => ['id' => $move->id, 'what' => $move->words(), 'seconds' => $move->seconds],
                array_values($exercise->moves),
            ),
            'answer' => [
                'kind' => $exercise->card->trick->value,
                'verdict' => $answer->called->verdict->kind->value,
                'holds' => $answer->called->holds?->value,
                'capacity' => $answer->called->capacity?->count,
                'reasons' => array_map(fn ($reason): string => $reason->sentence(), $answer->called->verdict->reasons),
                'way' => array_map(fn (Move $move): string => $move->id, $answer->way),
                'seconds' => $answer->seconds(),
            ],
            'case' => $exercise->case(array_values($exercise->moves)),
        ];
    }
}
