<?php

declare(strict_types=1);

namespace App\Books;

use Illuminate\Contracts\Database\Query\Builder;
use Illuminate\Support\Carbon;
use Tally\Verdict\VerdictKind;

/** Which books go out, and of which cards and days. */
final readonly class Pick
{
    /**
     * @param  non-empty-list<Book>  $books
     * @param  list<int>|null  $cards  ids; null for all
     * @param  VerdictKind|null  $verdict  as it stands, overruled ones by what was said instead
     * @param  Carbon|null  $from  of what happened, the first day; what did not happen on any day goes out always
     * @param  Carbon|null  $to  the last day
     */
    public function __construct(
        public array $books,
        public ?array $cards = null,
        public ?VerdictKind $verdict = null,
        public ?Carbon $from = null,
        public ?Carbon $to = null,
    ) {}

    public static function all(): self
    {
        return new self(Book::cases());
    }

    /** Narrows a question down to the cards; `cards` is joined to it. */
    public function ofCards(Builder $query): void
    {
        if ($this->cards !== null) {
            $query->whereIn('cards.id', $this->cards);
        }
        if ($this->verdict !== null) {
            $query->whereRaw('coalesce(cards.overruled, cards.verdict) = ?', [$this->verdict->value]);
        }
    }

    public function ofDays(Builder $query, string $column): void
    {
        if ($this->from !== null) {
            $query->where($column, '>=', $this->from->copy()->startOfDay());
        }
        if ($this->to !== null) {
            $query->where($column, '<=', $this->to->copy()->endOfDay());
        }
    }
}
