<?php

declare(strict_types=1);

namespace Tally\Buying;

use Tally\Label\Label;
use Tally\Label\Mark;
use Tally\Label\MarkKind;

/**
 * What a card is sold as: the floor that its highest mark promises, in MB/s.
 *
 * Marks of equal floors are one tier (C10 = U1 = V10, U3 = V30): SD Association speed-class tables.
 */
final readonly class Tier
{
    /** @param  int  $floor  MB/s; 0 for a card without a mark */
    private function __construct(public int $floor) {}

    public static function of(Label $label): self
    {
        $mark = $label->topMark();

        return new self($mark === null ? 0 : (int) $mark->floor()->megabytes());
    }

    /** @return self|null null when no mark promises just this floor */
    public static function tryFrom(int $floor): ?self
    {
        foreach (self::all() as $tier) {
            if ($tier->floor === $floor) {
                return $tier;
            }
        }

        return null;
    }

    /** @return list<self> the lowest first */
    public static function all(): array
    {
        $floors = array_unique([0, ...array_map(fn (Mark $mark): int => (int) $mark->floor()->megabytes(), Mark::cases())]);
        sort($floors);

        return array_map(fn (int $floor): self => new self($floor), $floors);
    }

    /** Whether a mark of SD cards promises just this floor. */
    public function isSecureDigital(): bool
    {
        return array_filter(
            Mark::cases(),
            fn (Mark $mark): bool => (int) $mark->floor()->megabytes() === $this->floor && $mark->isSecureDigital(),
        ) !== [];
    }

    /** `V30, U3: 30 MB/s and up` */
    public function words(): string
    {
        if ($this->floor === 0) {
            return 'no speed mark';
        }
        $marks = array_filter(
            Mark::cases(),
            fn (Mark $mark): bool => (int) $mark->floor()->megabytes() === $this->floor && $mark->kind() !== MarkKind::AppClass,
        );

        return implode(', ', array_map(fn (Mark $mark): string => $mark->value, array_reverse($marks))).": {$this->floor} MB/s and up";
    }
}
