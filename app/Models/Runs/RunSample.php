<?php

declare(strict_types=1);

namespace App\Models\Runs;

use App\Models\Row;

/**
 * Speed along the bytes of a run, packed: one row a run.
 *
 * @property int $run_id
 * @property array{write: list<array{float, float}>, read: list<array{float, float}>, heat?: list<array{float, float}>} $traces
 * end offset, bytes a second or °C
 */
final class RunSample extends Row
{
    public $timestamps = false;

    public $incrementing = false;

    protected $primaryKey = 'run_id';

    protected $guarded = [];

    protected $casts = ['traces' => 'array'];
}
