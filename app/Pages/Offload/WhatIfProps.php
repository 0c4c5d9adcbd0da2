<?php

declare(strict_types=1);

namespace App\Pages\Offload;

/** A change to an offload, and what it saves. */
final readonly class WhatIfProps
{
    /**
     * @param  float  $saves  seconds until all is done
     * @param  bool  $isBought  whether it has a price
     * @param  string|null  $worth  when it has paid, in a sentence; null where nothing was said of money
     */
    public function __construct(public string $words, public float $saves, public bool $isBought, public ?string $worth) {}
}
