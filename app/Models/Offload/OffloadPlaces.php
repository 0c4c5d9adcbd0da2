<?php

declare(strict_types=1);

namespace App\Models\Offload;

use Tally\Device\Place;

/** Where the slots and drives of an offload are mounted on its bench, and what lay at the drives when they were chosen. */
final readonly class OffloadPlaces
{
    /**
     * @param  array<string, string>  $slots  folders
     * @param  array<string, string>  $drives  folders
     * @param  array<string, Place>  $media  by drive; none in books of before
     */
    public function __construct(public array $slots = [], public array $drives = [], public array $media = []) {}

    /** The same, and a drive mounted elsewhere or besides. */
    public function with(string $drive, string $folder, Place $medium): self
    {
        return new self($this->slots, [...$this->drives, $drive => $folder], [...$this->media, $drive => $medium]);
    }
}
