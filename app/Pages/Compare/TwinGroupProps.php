<?php

declare(strict_types=1);

namespace App\Pages\Compare;

/** Cards of different labels that are likely the same card. */
final readonly class TwinGroupProps
{
    /**
     * @param  list<TwinProps>  $members
     * @param  string|null  $sharedBackCode  one that at least two of them carry
     */
    public function __construct(public string $chain, public array $members, public ?string $sharedBackCode, public string $words) {}
}
