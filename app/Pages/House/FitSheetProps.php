<?php

declare(strict_types=1);

namespace App\Pages\House;

/** Which card in which reader on which host, at what best rate, and why less. */
final readonly class FitSheetProps
{
    /**
     * @param  string|null  $card  the card it is about; null for all of them, each on its best host
     * @param  list<string>  $columns
     * @param  list<FitRowProps>  $rows
     */
    public function __construct(public ?string $card, public string $caption, public array $columns, public array $rows) {}
}
