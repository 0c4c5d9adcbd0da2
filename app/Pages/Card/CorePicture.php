<?php

declare(strict_types=1);

namespace App\Pages\Card;

use App\Evidence\ProofWords;
use Tally\Pattern\BlockClass;
use Tally\Pattern\Patch;
use Tally\Quantity\Bytes;
use Tally\Reading\Condition;
use Tally\Record\ProofRecord;

/**
 * A proof or a screen as a core sample, with what it says, proves and leaves open.
 *
 * @phpstan-import-type TraceProps from ProvePage
 *
 * @phpstan-type ClassProps array{ // A row of “what came back”.
 *     class: BlockClass,
 *     bytes: int,
 *     size: string,
 *     meaning: string,
 * }
 * @phpstan-type CoreProps array{ // The core sample of a proof. Sizes in bytes.
 *     size: int,
 *     label: int,
 *     capacity: int,
 *     wrap: int|null,
 *     condition: Condition,
 *     patches: list<PatchProps>,
 *     classes: list<ClassProps>,
 *     grain: int, // patches shorter than this may be joined with worse neighbours; 0 when all is as it is
 *     summary: string, // the picture in words
 *     caption: string, // how it was got
 *     trace: TraceProps|null,
 *     wrapFrom: int|null,
 *     exact: bool,
 *     points: int|null, // of a quick screen: how many places were drawn
 *     means: list<string>, // fake or faulty, why, and what else is wrong with it
 *     proves: string,
 *     leaves: list<string>, // what it leaves open
 *     alarmAt: int|null, // bytes written when a look back ended it
 *     peg: string, // what is said at the capacity
 *     isLoose: bool, // whether the capacity is at no one address
 *     upTo: string|null, // what is said of the part up to the capacity
 *     behind: string|null, // and of the part behind it
 *     really: string|null, // what the true capacity of a fake is; null of any other
 * }
 * @phpstan-type PatchProps array{ // A range of the core sample, in bytes.
 *     class: BlockClass,
 *     offset: int,
 *     length: int,
 *     source: int|null,
 * }
 */
final readonly class CorePicture
{
    /**
     * @param  Bytes  $label  the capacity that is printed on it
     * @param  string  $caption  how it was got
     * @param  TraceProps|null  $trace
     * @return CoreProps
     */
    public static function of(ProofRecord $record, Bytes $label, string $caption, ?array $trace = null): array
    {
        return [
            'size' => $record->size->count,
            'label' => $label->count,
            'capacity' => $record->diagnosis->capacity->count,
            'wrap' => $record->diagnosis->wrap,
            'condition' => $record->diagnosis->condition,
            'patches' => array_map(
                fn (Patch $patch): array => [
                    'class' => $patch->class,
                    'offset' => $patch->offset,
                    'length' => $patch->length,
                    'source' => $patch->source,
                ],
                $record->patches,
            ),
            'classes' => self::classes($record),
            'grain' => $record->grain,
            'summary' => ProofWords::summary($record),
            'caption' => $caption,
            'trace' => $trace,
            'wrapFrom' => $record->diagnosis->wrapFrom,
            'exact' => $record->diagnosis->exact,
            'points' => $record->points(),
            'means' => [$record->diagnosis->condition->because(), ...$record->diagnosis->also],
            'proves' => $record->proves(),
            'leaves' => $record->leavesOpen(),
            'alarmAt' => $record->alarmAt,
            'peg' => ProofWords::peg($record),
            'isLoose' => $record->hasLooseCapacity(),
            'upTo' => $record->diagnosis->condition->upTo(),
            'behind' => $record->diagnosis->condition->behind(),
            'really' => self::really($record),
        ];
    }

    /** @return list<ClassProps> */
    private static function classes(ProofRecord $record): array
    {
        return array_map(function (BlockClass $class) use ($record): array {
            $bytes = $record->classes[$class->value] ?? 0;

            return [
                'class' => $class,
                'bytes' => $bytes,
                'size' => Bytes::of($bytes)->decimal(),
                'meaning' => $class->meaning(),
            ];
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
