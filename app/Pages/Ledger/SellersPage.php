<?php

declare(strict_types=1);

namespace App\Pages\Ledger;

use App\Models\Cards\Card;
use App\Pages\Page;
use Illuminate\Support\Collection;
use Tally\Reading\Proportion;
use Tally\Verdict\VerdictKind;

/**
 * How many of whose cards were what; a bad lot at one look.
 *
 * @phpstan-type SellerProps array{ // What cards of a seller or of a lot were found to be.
 *     name: string,
 *     cards: int,
 *     counts: list<VerdictCountProps>,
 *     bad: string, // struck out, with the interval of what is behind it, such as `2 of 5, 12 to 77 %`
 *     low: float, // of that interval, a share
 *     high: float,
 *     tags: list<string>, // of those that were struck out
 * }
 * @phpstan-type VerdictCountProps array{ // How many cards have a verdict.
 *     kind: VerdictKind,
 *     cards: int,
 * }
 */
final readonly class SellersPage extends Page
{
    /**
     * @param  list<SellerProps>  $sellers  those first of whose cards most are surely bad
     * @param  list<SellerProps>  $lots
     */
    public function __construct(public array $sellers, public array $lots) {}

    public static function now(): self
    {
        return new self(self::by('seller', 'seller'), self::by('lot_key', 'lot'));
    }

    /** @return list<SellerProps> */
    private static function by(string $key, string $name): array
    {
        $kind = 'coalesce(overruled, verdict)';
        $rows = Card::query()
            ->toBase()
            ->whereNotNull($key)
            ->groupBy($key)
            ->groupByRaw($kind)
            ->selectRaw("{$key} as of, max({$name}) as name, {$kind} as kind, count(*) as cards, group_concat(tag order by tag) as tags")
            ->get()
            ->groupBy('of');
        $all = array_values($rows->map(fn (Collection $of): array => self::one($of))->all());
        usort($all, fn (array $a, array $b): int => [-$a['low'], $a['name']] <=> [-$b['low'], $b['name']]);

        return $all;
    }

    /**
     * @param  Collection<int, covariant object>  $rows  one for each verdict
     * @return SellerProps
     */
    private static function one(Collection $rows): array
    {
        $counts = $tags = [];
        $bad = $all = $open = 0;
        $name = '';
        foreach ($rows as $row) {
            $row = (array) $row;
            $kind = VerdictKind::from(is_string($row['kind'] ?? null) ? $row['kind'] : '');
            $cards = is_numeric($row['cards'] ?? null) ? (int) $row['cards'] : 0;
            $name = is_string($row['name'] ?? null) ? $row['name'] : $name;
            $counts[] = ['kind' => $kind, 'cards' => $cards];
            $all += $cards;
            $open += $kind === VerdictKind::Unproven ? $cards : 0;
            if ($kind->isStruckOut()) {
                $bad += $cards;
                array_push($tags, ...explode(',', is_string($row['tags'] ?? null) ? $row['tags'] : ''));
            }
        }
        // What nobody has tested says nothing of who sold it.
        $share = new Proportion($bad, max(1, $all - $open));
        $words = $all === $open ? 'none tested yet' : $share->words().($open === 0 ? '' : "; {$open} not tested yet");
        sort($tags);

        return [
            'name' => $name,
            'cards' => $all,
            'counts' => $counts,
            'bad' => $words,
            'low' => round($share->low, 4),
            'high' => round($share->high, 4),
            'tags' => $tags,
        ];
    }
}
