<?php

declare(strict_types=1);

namespace App\Kit;

/** Whether a drive is in service, what leans on it, and how it stood to its lists. */
final readonly class DriveCareProps
{
    /**
     * @param  string|null  $gone  since when it is out of service, why and by whom; null where it is not
     * @param  int  $leaning  cards that may be cleared because of a copy on it
     * @param  string  $folder  where it was mounted last
     * @param  list<DriveCheckProps>  $checks  the newest first
     */
    public function __construct(
        public ?string $gone,
        public int $leaning,
        public string $folder,
        public array $checks,
        public string $person,
    ) {}
}
