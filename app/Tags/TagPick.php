<?php

declare(strict_types=1);

namespace App\Tags;

use App\Models\Cards\Card;
use Illuminate\Support\Collection;
use Tally\Origin\Code;

/** Cards picked by their tags: `QS-014 QS-021..QS-028`, `lot TC-0426`, or `all`. */
final readonly class TagPick
{
    public const MOST = 1000;

    /**
     * @param  Collection<int, Card>  $cards
     * @param  list<string>  $unknown  words that picked nothing
     */
    private function __construct(public Collection $cards, public array $unknown) {}

    public static function of(string $text): self
    {
        $cards = new Collection();
        $unknown = [];
        // A lot may be named with spaces, up to a comma or the end.
        preg_match_all('/\blot\s+[^,;]+|[^\s,;]+/iu', mb_substr($text, 0, 2000), $m);
        foreach ($m[0] as $word) {
            $found = self::found(trim($word));
            if ($found->isEmpty()) {
                $unknown[] = trim($word);
            }
            $cards = $cards->merge($found);
        }

        return new self($cards->unique('id')->take(self::MOST)->values(), $unknown);
    }

    /** @return Collection<int, Card> */
    private static function found(string $word): Collection
    {
        $query = Card::query()->orderByRaw('length(tag), tag')->limit(self::MOST);
        if (preg_match('/^lot\s+(.+)$/iu', $word, $m) === 1) {
            return $query->where('lot_key', Code::key($m[1]))->get()->toBase();
        }
        if (strtolower($word) === 'all') {
            return $query->get()->toBase();
        }
        if (
            preg_match('/^([A-Za-z0-9-]*?)([0-9]{1,9})(?:\.\.|…)([A-Za-z0-9-]*?)([0-9]{1,9})$/u', $word, $m) === 1 &&
            ($m[3] === '' || strcasecmp($m[1], $m[3]) === 0)
        ) {
            [$from, $to] = [(int) $m[2], (int) $m[4]];

            return $query
                ->where('tag', 'regexp', '^'.strtoupper(preg_quote($m[1])).'[0-9]+$')
                ->get()
                ->filter(fn (Card $card): bool => ($number = (int) substr($card->tag, strlen($m[1]))) >= $from && $number <= $to)
                ->values()
                ->toBase();
        }

        return $query->where('tag', strtoupper($word))->get()->toBase();
    }
}
