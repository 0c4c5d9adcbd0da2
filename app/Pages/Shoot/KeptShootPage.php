<?php

declare(strict_types=1);

namespace App\Pages\Shoot;

use App\Pages\Page;

/**
 * A whole shoot that was kept.
 *
 * @phpstan-import-type PackedProps from PackedPicture
 */
final readonly class KeptShootPage extends Page
{
    /**
     * @param  string  $when  such as `27 to 29 Nov 2026`
     * @param  string  $made  when and by whom it was kept
     * @param  PackedProps  $packed
     */
    public function __construct(
        public int $id,
        public string $name,
        public string $when,
        public string $made,
        public array $packed,
    ) {}
}
