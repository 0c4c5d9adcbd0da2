<?php

declare(strict_types=1);

namespace App\Models\Kit;

use App\Models\Row;
use App\Models\WritesBookLines;
use Illuminate\Database\Eloquent\Casts\AsEnumCollection;
use Illuminate\Support\Collection;
use Tally\Label\Bus;

/**
 * A slot of a camera, and the media it accepts.
 *
 * @property int $id
 * @property int $camera_id
 * @property string $name
 * @property Collection<int, Bus> $buses
 */
final class CameraSlot extends Row
{
    use WritesBookLines;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['buses' => AsEnumCollection::of(Bus::class)];
    }
}
