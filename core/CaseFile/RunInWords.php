<?php

declare(strict_types=1);

namespace Tally\CaseFile;

use Tally\Evidence\LongWriteEvidence;
use Tally\Evidence\ProofEvidence;
use Tally\Evidence\SpeedEvidence;
use Tally\Pattern\BlockClass;
use Tally\Pattern\Patch;
use Tally\Reading\Condition;
use Tally\Record\LongWrite;
use Tally\Record\ProofRecord;

/** A run as a case tells it: what is read back from it is judged the same. */
final readonly class RunInWords
{
    /** @return array<string, mixed> sizes in bytes, speeds in bytes a second; without its moment and its chain */
    public static function of(SpeedEvidence|ProofEvidence|LongWriteEvidence $run): array
    {
        return match (true) {
            $run instanceof SpeedEvidence => [
                'kind' => 'speed',
                'bytes' => $run->record->region->count,
                'write' => array_map(round(...), $run->record->writes),
                'read' => array_map(round(...), $run->record->reads),
            ],
            $run instanceof LongWriteEvidence => ['kind' => 'sustained', 'course' => self::course($run->course)],
            $run->record->places !== null => self::screen($run->record, $run->record->places),
            default => self::proof($run->record),
        };
    }

    /** @return array<string, mixed> */
    private static function screen(ProofRecord $record, int $points): array
    {
        return [
            'kind' => 'screen',
            'shows' => $record->size->count,
            'points' => $points,
            'bad' => self::found($record),
            'reinserted' => $record->reinserted,
            ...self::refused($record),
        ];
    }

    /** @return array<string, mixed> */
    private static function proof(ProofRecord $record): array
    {
        $read = $record->read->rate();

        return [
            'kind' => 'proof',
            'mode' => 'raw',
            'shows' => ($record->extent->shown ?? $record->size)->count,
            'written' => max($record->write->bytes->count, $record->covered()->count),
            'read_back' => $record->covered()->count,
            'course' => $record->course === null ? [] : self::course($record->course),
            'bad' => self::patches($record),
            'reinserted' => $record->reinserted,
            ...$read === null ? [] : ['read' => round($read->bytesPerSecond)],
            ...self::refused($record),
        ];
    }

    /** @return list<list<int|string>> */
    private static function patches(ProofRecord $record): array
    {
        $bad = array_filter($record->patches, fn (Patch $one): bool => $one->class !== BlockClass::Holds);

        return array_values(array_map(self::patch(...), $bad));
    }

    /** @return list<int|string> */
    private static function patch(Patch $patch): array
    {
        $shift = $patch->shift();

        return [$patch->class->value, $patch->offset, $patch->length, ...$shift === null ? [] : [abs($shift)]];
    }

    /** @return list<list<int|string>> where a few places were looked at: what that showed of all the rest */
    private static function found(ProofRecord $record): array
    {
        [$end, $shown] = [$record->diagnosis->capacity->count, $record->size->count];

        return match ($record->diagnosis->condition) {
            Condition::Wraps => [['echoes', 0, $shown - $end, $record->diagnosis->wrap ?? $end]],
            Condition::Drops => [['blank', $end, $shown - $end]],
            Condition::Corrupts => [['scrambled', $end, $shown - $end]],
            default => self::patches($record),
        };
    }

    /** @return array{refused?: array{string, int}} */
    private static function refused(ProofRecord $record): array
    {
        return $record->diagnosis->condition === Condition::Refuses
            ? ['refused' => ['write', $record->diagnosis->capacity->count]]
            : [];
    }

    /** @return list<array{int, float}> pieces of steady speed, the lowest window one of them */
    private static function course(LongWrite $course): array
    {
        $pieces = [];
        foreach ($course->plateaus as $one) {
            $floor = $course->floor ?? $one->rate;
            $low = [max($one->from, $course->from), min($one->to, $course->to)];
            $pieces[] = [$low[0] - $one->from, $one->rate];
            $pieces[] = [$low[1] - $low[0], $floor];
            $pieces[] = [$one->to - max($low), $one->rate];
        }
        $said = array_map(fn (array $piece): array => [(int) round($piece[0]), round($piece[1]->bytesPerSecond)], $pieces);

        return array_values(array_filter($said, fn (array $piece): bool => $piece[0] > 0));
    }
}
