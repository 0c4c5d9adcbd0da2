<?php

declare(strict_types=1);

namespace App\Pages\Ledger;

/** What a card is due for. */
final readonly class DueProps
{
    /**
     * @param  string  $words  such as `Prove it again`
     * @param  string  $why  such as `since 3 Nov 2026: wet on 3 Nov 2026`
     * @param  bool  $isNow  whether today, or later
     * @param  string|null  $href  where that is done; null where it has served: it is taken out right here
     */
    public function __construct(public string $words, public string $why, public bool $isNow, public ?string $href) {}
}
