<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Kit\DriveRecord;
use App\Kit\Field;
use App\Kit\KitFormProps;
use App\Pages\Card\InspectPage;
use App\Pages\Page;

/**
 * All that the page KitItem shows.
 *
 * @phpstan-import-type CeilingProps from Field
 * @phpstan-import-type DriveCareProps from DriveRecord
 * @phpstan-import-type DriveFindingProps from DriveRecord
 * @phpstan-import-type SeenProps from InspectPage
 * @phpstan-import-type SightingProps from KitPage
 */
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
        public ?array $care,
    ) {}
}
