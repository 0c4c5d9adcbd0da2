<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Kit\CeilingProps;
use App\Kit\DriveCareProps;
use App\Kit\DriveFindingProps;
use App\Kit\KitFormProps;
use App\Pages\Page;

/** All that the page KitItem shows. */
final readonly class KitItemPage extends Page
{
    /**
     * @param  string  $state  how it stands in the books, in short
     * @param  list<CeilingProps>  $ceilings
     * @param  list<SightingProps>  $sightings
     * @param  list<SeenProps>  $trouble  of a reader
     * @param  list<DriveFindingProps>  $found  of a drive
     * @param  DriveCareProps|null  $care  of a drive that is in the books
     */
    public function __construct(
        public KitFormProps $form,
        public string $state,
        public array $ceilings,
        public array $sightings,
        public array $trouble,
        public array $found,
        public ?DriveCareProps $care,
    ) {}
}
