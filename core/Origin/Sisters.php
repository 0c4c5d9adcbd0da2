<?php

declare(strict_types=1);

namespace Tally\Origin;

/** Other cards of the house that share something with one. */
final readonly class Sisters
{
    /**
     * @param  list<string>  $sameSerial  tags of cards with the same serial
     * @param  list<string>  $sameBackCode  tags of cards with the same code on the back
     * @param  int  $lotSize  cards of the lot, this one included
     * @param  int  $lotSham  of them, how many are Sham
     * @param  int  $otherSham  the same without this one
     */
    public function __construct(
        public array $sameSerial = [],
        public array $sameBackCode = [],
        public int $lotSize = 0,
        public int $lotSham = 0,
        public int $otherSham = 0,
    ) {}

    /** `1 of 4 others`: this card is none of its own sisters */
    public function others(): string
    {
        $others = $this->lotSize - 1;

        return "{$this->otherSham} of ".($others === 1 ? '1 other' : "{$others} others");
    }
}
