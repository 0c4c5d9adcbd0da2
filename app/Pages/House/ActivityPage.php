<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Models\Cards\Card;
use App\Models\Ledger\BookLine;
use App\Models\When;
use App\Pages\Page;

/**
 * Every change of the books: lines that are only ever added.
 *
 * @phpstan-type BookLineProps array{ // A change of the books.
 *     id: int,
 *     on: string,
 *     who: string,
 *     did: string, // entered, changed or deleted
 *     what: string,
 *     changes: list<ChangeProps>, // of its columns
 * }
 * @phpstan-type ChangeProps array{ // What a column was and became.
 *     column: string,
 *     was: string|null, // null where it was entered
 *     is: string,
 * }
 */
final readonly class ActivityPage extends Page
{
    private const LINES = 60;

    private const LENGTH = 120;

    /**
     * @param  string|null  $tag  of one card alone; null for the house
     * @param  list<BookLineProps>  $lines  the newest first
     * @param  int|null  $older  the line before which older ones are asked for; null where there are none
     */
    public function __construct(public ?string $tag, public int $count, public array $lines, public ?int $older) {}

    /** @param  int|null  $before  lines older than this one */
    public static function of(?Card $card, ?int $before): self
    {
        $all = BookLine::query()->when($card !== null, fn ($query) => $query->where('card_id', $card?->id));
        $lines = (clone $all)
            ->when($before !== null, fn ($query) => $query->where('id', '<', $before))
            ->orderByDesc('id')
            ->limit(self::LINES + 1)
            ->get();
        $shown = $lines->take(self::LINES);

        return new self(
            $card?->tag,
            $all->count(),
            array_values($shown->map(fn (BookLine $line): array => self::line($line))->all()),
            $lines->count() > self::LINES ? $shown->last()?->id : null,
        );
    }

    /** @return BookLineProps */
    private static function line(BookLine $line): array
    {
        $new = (array) ($line->properties['attributes'] ?? []);
        $old = (array) ($line->properties['old'] ?? []);
        $changes = [];
        foreach ($line->event === 'deleted' ? $old : $new as $column => $value) {
            if ($value !== null && $value !== '' || isset($old[$column])) {
                $was = array_key_exists($column, $old) && $line->event === 'updated' ? self::text($old[$column]) : null;
                $changes[] = [
                    'column' => str_replace('_', ' ', (string) $column),
                    'was' => $was,
                    'is' => self::text($value),
                ];
            }
        }

        return [
            'id' => $line->id,
            'on' => $line->created_at->format(When::MOMENT),
            'who' => $line->who ?? 'nobody named',
            'did' => match ($line->event) {
                'created' => 'entered',
                'deleted' => 'deleted',
                default => 'changed',
            },
            'what' => $line->description,
            'changes' => $changes,
        ];
    }

    private static function text(mixed $value): string
    {
        $text = match (true) {
            $value === null, $value === '' => 'nothing',
            is_scalar($value) => (string) $value,
            default => json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
        };

        return mb_strlen($text) > self::LENGTH ? mb_substr($text, 0, self::LENGTH - 1).'…' : $text;
    }
}
