<?php

declare(strict_types=1);

namespace App\Models\Runs;

use App\Models\Row;

/**
 * How warm a card was at some place of a run, as somebody read it off a thermometer.
 *
 * @property int $id
 * @property int $run_id
 * @property int|null $at bytes from the start; null where nobody noted it
 * @property float $celsius
 * @property string|null $recorded_by
 */
final class HeatReading extends Row
{
    protected $guarded = [];

    protected $casts = ['at' => 'integer', 'celsius' => 'float'];
}
