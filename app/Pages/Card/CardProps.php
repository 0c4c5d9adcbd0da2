<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** The card a page is about. */
final readonly class CardProps
{
    /**
     * @param  string  $line  capacity, bus, top mark
     * @param  int  $capacity  bytes
     * @param  bool  $isMicro  whether it is drawn as a microSD card
     */
    public function __construct(
        public string $tag,
        public string $name,
        public string $line,
        public int $capacity,
        public int $footage,
        public bool $isMicro,
    ) {}
}
