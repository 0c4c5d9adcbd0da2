<?php

declare(strict_types=1);

namespace App\Pages\Shoot;

/** What is on which card on an evening. */
final readonly class EveningProps
{
    /**
     * @param  string  $day  such as `day 2`, or the date where the shoot has one
     * @param  list<EveningCardProps>  $cards
     * @param  string  $total  on all of them
     * @param  string|null  $offload  where its offload is planned; null where cards do not come home that evening
     */
    public function __construct(public string $day, public array $cards, public string $total, public ?string $offload) {}
}
