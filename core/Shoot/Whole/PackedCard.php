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
     * @param  int  $count  minutes or shots that it holds there
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

    /** @return array<string, mixed> */
    public function pack(): array
    {
        return [
            'card' => $this->tag,
            'slot' => $this->slot,
            'holds' => $this->count,
            'capacity' => $this->capacity->exact(),
            'proven' => $this->isProven,
            'words' => $this->words,
        ];
    }

    /** @throws NotUsable */
    public static function unpack(Fields $card): self
    {
        return new self(
            $card->text('card'),
            $card->text('slot', ''),
            $card->integer('holds'),
            $card->size('capacity'),
            $card->boolean('proven'),
            $card->text('words', ''),
        );
    }
}
