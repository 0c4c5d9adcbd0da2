<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Label\CardProps;
use App\Props\Label\ChoicesProps;
use App\Props\Label\FootageProps;
use App\Props\Label\IntakeProps;
use App\Props\Label\PhotoProps;
use App\Props\Margin\MarginProps;
use App\Props\Measure\ClaimLineProps;

/** All that the page Intake shows. */
final readonly class IntakePageProps implements PageProps
{
    /**
     * @param  list<PhotoProps>  $photos
     */
    public function __construct(
        public ?CardProps $card,
        public IntakeProps $values,
        public ChoicesProps $choices,
        public ?MarginProps $margin,
        public ?ClaimLineProps $claimLine,
        public array $photos,
        public ?int $revision,
        public ?FootageProps $footage,
        public string $person,
    ) {}
}
