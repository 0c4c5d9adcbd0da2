<?php

declare(strict_types=1);

namespace App\Pages\Shoot;

/** A card in its place. */
final readonly class PackedCardProps
{
    /**
     * @param  string  $lasts  such as `63 min`; with ~ where its capacity was not proven
     * @param  float  $share  of what the place needs
     * @param  string  $words  such as `Unproven`; empty where there is nothing to say
     */
    public function __construct(
        public string $tag,
        public string $slot,
        public string $lasts,
        public bool $isProven,
        public float $share,
        public string $words,
    ) {}
}
