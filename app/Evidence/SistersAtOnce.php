<?php

declare(strict_types=1);

namespace App\Evidence;

use App\Models\Cards\Card;
use Illuminate\Support\Collection;
use stdClass;
use Tally\Origin\Sisters;
use Tally\Verdict\VerdictKind;

/** The sisters of many cards in three questions to the database, where each card alone would ask one. */
final readonly class SistersAtOnce
{
    /**
     * @var array{serial_key: array<string, array<int, string>>|null, back_code_key: array<string, array<int, string>>|null} key
     * → card → tag
     */
    private array $sharing;

    /** @var array<string, array{int, int}> lot → cards of it, and how many of them are Sham */
    private array $lots;

    /** @param  Collection<int, Card>  $cards */
    public function __construct(Collection $cards)
    {
        $this->sharing = ['serial_key' => self::sharing('serial_key', $cards), 'back_code_key' => self::sharing('back_code_key', $cards)];
        $this->lots = self::lots($cards);
    }

    public function of(Card $card): Sisters
    {
        [$serial, $back, $lot] = [
            $this->others('serial_key', $card),
            $this->others('back_code_key', $card),
            $this->lots[$card->lot_key ?? ''] ?? null,
        ];
        // The database takes letters for the same that are not: “É” and “E”. Where there are any, each card asks for itself.
        if ($serial === null || $back === null || ($lot === null && $card->lot_key !== null)) {
            return HouseKnowledge::sisters($card);
        }
        $itself = ($card->overruled ?? $card->verdict) === VerdictKind::Sham ? 1 : 0;

        return new Sisters($serial, $back, $lot[0] ?? 0, $lot[1] ?? 0, otherSham: $lot === null ? 0 : $lot[1] - $itself);
    }

    /**
     * @param  'serial_key'|'back_code_key'  $column
     * @return list<string>|null tags; null where that is for the database to say
     */
    private function others(string $column, Card $card): ?array
    {
        $key = $card->getAttributes()[$column] ?? null;
        if (! is_string($key)) {
            return [];
        }
        $tags = $this->sharing[$column][$key] ?? null;
        if ($tags === null) {
            return null;
        }
        unset($tags[$card->id]);
        sort($tags);

        return $tags;
    }

    /**
     * @param  Collection<int, Card>  $cards
     * @return array<string, array<int, string>>|null key → card → tag; null where a key has letters beyond ASCII
     */
    private static function sharing(string $column, Collection $cards): ?array
    {
        $sharing = [];
        foreach (
            Card::query()
                ->toBase()
                ->whereIn($column, self::keys($column, $cards))
                ->get(['id', 'tag', $column]) as $row
        ) {
            if (is_string($key = $row->{$column}) && is_int($row->id) && is_string($row->tag)) {
                if (! mb_check_encoding($key, 'ASCII')) {
                    return null;
                }
                $sharing[$key][$row->id] = $row->tag;
            }
        }

        return $sharing;
    }

    /**
     * @param  Collection<int, Card>  $cards
     * @return array<string, array{int, int}>
     */
    private static function lots(Collection $cards): array
    {
        $lots = [];
        $rows = Card::query()
            ->toBase()
            ->whereIn('lot_key', self::keys('lot_key', $cards))
            ->groupBy('lot_key')
            ->selectRaw('lot_key, count(*) as cards, sum(coalesce(overruled, verdict) = ?) as sham', [VerdictKind::Sham->value])
            ->get();
        foreach ($rows as $row) {
            $number = fn (stdClass $row, string $field): int => is_numeric($row->{$field}) ? (int) $row->{$field} : 0;
            if (is_string($row->lot_key)) {
                $lots[$row->lot_key] = [$number($row, 'cards'), $number($row, 'sham')];
            }
        }

        return $lots;
    }

    /**
     * @param  Collection<int, Card>  $cards
     * @return list<string>
     */
    private static function keys(string $column, Collection $cards): array
    {
        return array_values(
            array_unique(
                array_filter($cards->map(fn (Card $card): mixed => $card->getAttributes()[$column] ?? null)->all(), is_string(...)),
            ),
        );
    }
}
