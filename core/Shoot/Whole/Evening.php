<?php

declare(strict_types=1);

namespace Tally\Shoot\Whole;

use Tally\Quantity\Bytes;

/** What is on which card on the evening of a day, as planned, without anything on top. */
final readonly class Evening
{
    /**
     * @param  bool  $comesHome  whether cards come home that evening
     * @param  array<int|string, Bytes>  $cards  tag → what is on it; PHP makes numbers of tags that are such
     */
    private function __construct(public int $day, public bool $comesHome, public array $cards) {}

    /** @return list<self> one for each day */
    public static function of(Packing $packing): array
    {
        $evenings = [];
        $full = [];
        for ($day = 1; $day <= $packing->question->days; $day++) {
            foreach ($packing->places as $at => $one) {
                $wanted = $one->place->wanted;
                if (! $one->place->isSpare() && in_array($day, $wanted->days, true)) {
                    $full[$at] = ($full[$at] ?? 0) + $wanted->daily;
                }
            }
            $cards = [];
            foreach ($full as $at => $count) {
                $cards += self::filled($packing->places[$at], $count);
            }
            ksort($cards, SORT_NATURAL);
            $home = $packing->question->comesHome($day);
            $evenings[] = new self($day, $home, $cards);
            $full = $home ? [] : $full;
        }

        return $evenings;
    }

    /**
     * One card after the other; what no card is there for is not recorded.
     *
     * @return array<int|string, Bytes>
     */
    private static function filled(PackedPlace $place, int $count): array
    {
        $cards = [];
        foreach ($place->cards as $card) {
            $here = min($count, $card->count);
            if ($here > 0) {
                $cards[$card->tag] = self::onto($place->place, $card, $here);
            }
            $count -= $here;
        }

        return $cards;
    }

    /** Never more than the card holds. */
    private static function onto(Place $place, PackedCard $card, int $count): Bytes
    {
        return Bytes::of(min($place->count->bytes($count)->count, $card->capacity->count));
    }
}
