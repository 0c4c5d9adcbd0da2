<?php

declare(strict_types=1);

namespace Tally\Shoot\Whole;

use Tally\Quantity\Bytes;
use Tally\Record\Fields;
use Tally\Record\NotUsable;

/** A card in its place, in the order it is used. */
final readonly class PackedCard
{
    /**
     * @param  int  $count  seconds or shots that it holds there
     * @param  string  $words  said beside it, such as `Unproven`; empty where there is nothing to say
     */
    public function __construct(
        public string $tag,
        public string $slot,
        public int $count,
        public Bytes $capacity,
        public bool $isProven,
        public string $words,
    ) {}

    /** @return array<string, mixed> what it holds in minutes, and to the second; or in shots */
    public function pack(Count $by): array
    {
        return [
            'card' => $this->tag,
            'slot' => $this->slot,
            'holds' => $by->said($this->count),
            ...$by->isShots ? [] : ['seconds' => $this->count],
            'capacity' => $this->capacity->exact(),
            'proven' => $this->isProven,
            'words' => $this->words,
        ];
    }

    /** @throws NotUsable */
    public static function unpack(Fields $card, Count $by): self
    {
        return new self(
            $card->text('card'),
            $card->text('slot', ''),
            // Kept shoots of before hold whole minutes.
            $by->isShots ? $card->integer('holds') : $card->integer('seconds', 60 * $card->integer('holds')),
            $card->size('capacity'),
            $card->boolean('proven'),
            $card->text('words', ''),
        );
    }
}
