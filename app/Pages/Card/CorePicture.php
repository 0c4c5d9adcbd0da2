<?php

declare(strict_types=1);

namespace App\Pages\Card;

use App\Evidence\ProofWords;
use Tally\Pattern\BlockClass;
use Tally\Pattern\Patch;
use Tally\Quantity\Bytes;
use Tally\Reading\Condition;
use Tally\Record\ProofRecord;

/** A proof or a screen as a core sample, with what it says, proves and leaves open. */
final readonly class CorePicture
{
    /**
     * @param  Bytes  $label  the capacity that is printed on it
     * @param  string  $caption  how it was got
     */
    public static function of(ProofRecord $record, Bytes $label, string $caption, ?TraceProps $trace = null): CoreProps
    {
        return new CoreProps(
            $record->size->count,
            $label->count,
            $record->diagnosis->capacity->count,
            $record->diagnosis->wrap,
            $record->diagnosis->condition,
            array_map(
                fn (Patch $patch): PatchProps => new PatchProps($patch->class, $patch->offset, $patch->length, $patch->source),
                $record->patches,
            ),
            self::classes($record),
            $record->grain,
            ProofWords::summary($record),
            $caption,
            $trace,
            $record->diagnosis->wrapFrom,
            $record->diagnosis->exact,
            $record->points(),
            [$record->diagnosis->condition->because(), ...$record->diagnosis->also],
            $record->proves(),
            $record->leavesOpen(),
            $record->alarmAt,
            ProofWords::peg($record),
            $record->hasLooseCapacity(),
            $record->diagnosis->condition->upTo(),
            $record->diagnosis->condition->behind(),
            self::really($record),
        );
    }

    /** @return list<ClassProps> */
    private static function classes(ProofRecord $record): array
    {
        return array_map(function (BlockClass $class) use ($record): ClassProps {
            $bytes = $record->classes[$class->value] ?? 0;

            return new ClassProps($class, $bytes, Bytes::of($bytes)->decimal(), $class->meaning());
        }, BlockClass::cases());
    }

    private static function really(ProofRecord $record): ?string
    {
        return match ($record->diagnosis->condition) {
            Condition::Wraps => 'what it keeps; it starts over every '.Bytes::of($record->diagnosis->wrap ?? 0)->decimal(),
            Condition::Drops, Condition::Corrupts => 'what it keeps',
            Condition::Aliases => 'what holds'.($record->diagnosis->exact ? '' : ', at most'),
            default => null,
        };
    }
}
