<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** What a typed reading comes to. */
final readonly class TypedCheckProps
{
    /**
     * @param  string|null  $rate  in MB/s and Mb/s; null while nothing comes of it
     * @param  string|null  $sentence  what to tell: that the three agree, which unit slipped, or what cannot be read
     * @param  bool  $wrong  whether the sentence is a complaint
     */
    public function __construct(public ?string $rate, public ?string $sentence, public bool $wrong) {}
}
