<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Models\Cards\Card;
use App\Models\Runs\Erasure;
use App\Models\When;
use App\Pages\Page;
use Illuminate\Support\Collection;
use Tally\Quantity\Bytes;

/**
 * The ledger: what was erased, by whom, when.
 *
 * @phpstan-type ErasureProps array{ // A line of the ledger, in words.
 *     id: int,
 *     on: string,
 *     what: string,
 *     device: string,
 *     size: string,
 *     person: string,
 *     station: string,
 *     why: string|null,
 *     tag: string|null, // of the card, where it was named
 * }
 */
final readonly class ErasedPage extends Page
{
    /** Lines a page. */
    public const AT_ONCE = 200;

    /**
     * @param  list<ErasureProps>  $lines
     * @param  int  $count  of all lines
     * @param  int|null  $older  the line that the next page begins before
     */
    public function __construct(
        public array $lines,
        public int $count,
        public ?int $older,
        public bool $isNewest,
    ) {}

    /**
     * @param  int|null  $before  only lines older than the one of this number
     * @return list<ErasureProps> the newest first
     */
    public static function of(?Card $card, ?int $before = null, int $most = self::AT_ONCE): array
    {
        $lines = Erasure::query()->with('card')->orderByDesc('erased_at')->orderByDesc('id')->limit($most);
        if ($card !== null) {
            $lines->where('card_id', $card->id);
        }
        $from = $before === null ? null : Erasure::query()->find($before);
        if ($from !== null) {
            // Lines that were written down while the books were away come in later than they were made.
            $lines->whereRaw('(erased_at, id) < (?, ?)', [$from->erased_at, $from->id]);
        }

        return self::words($lines->get());
    }

    /** The path that was ordered, and what it led to. */
    private static function device(Erasure $line): string
    {
        $medium = $line->medium;
        if ($medium === null) {
            return $line->path;
        }
        $known = $medium->serial ?? $medium->name;

        return ($medium->real === $line->path ? '' : "{$line->path}, which led to ").
            $medium->called().
            ($known === null ? '' : ", {$known}");
    }

    /**
     * @param  Collection<int, Erasure>  $lines
     * @return list<ErasureProps>
     */
    private static function words(Collection $lines): array
    {
        return array_values(
            $lines
                ->map(
                    fn (Erasure $line): array => [
                        'id' => $line->id,
                        'on' => $line->erased_at->format(When::MOMENT).' UTC',
                        'what' => $line->what,
                        'device' => self::device($line),
                        'size' => Bytes::of($line->bytes)->decimal(),
                        'person' => $line->person,
                        'station' => $line->station,
                        'why' => $line->why,
                        'tag' => $line->card?->tag,
                    ],
                )
                ->all(),
        );
    }
}
