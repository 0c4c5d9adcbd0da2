<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Kit\ChoiceProps;
use App\Pages\Page;

/**
 * All that the page Fits shows.
 *
 * @phpstan-import-type FitSheetProps from BodySheet
 */
final readonly class FitsPage extends Page
{
    /**
     * @param  FitSheetProps  $bodies  cards in cameras
     * @param  list<ChoiceProps>  $cameras
     * @param  list<ChoiceProps>  $answers  what a body can say of a card
     * @param  string  $today  `2026-11-27`
     * @param  FitSheetProps  $sheet
     */
    public function __construct(
        public array $sheet,
        public array $bodies,
        public array $cameras,
        public array $answers,
        public string $person,
        public string $today,
    ) {}
}
