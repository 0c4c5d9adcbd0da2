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

    /**
     * Traces as they come out of a file.
     *
     * @param  array<mixed>  $packed
     * @return array{write: list<array{float, float}>, read: list<array{float, float}>, heat: list<array{float, float}>}
     */
    public static function traces(array $packed): array
    {
        $points = function (string $way) use ($packed): array {
            $trace = [];
            foreach (is_array($packed[$way] ?? null) ? $packed[$way] : [] as $point) {
                if (is_array($point) && is_numeric($point[0] ?? null) && is_numeric($point[1] ?? null)) {
                    $trace[] = [(float) $point[0], (float) $point[1]];
                }
            }

            return $trace;
        };

        return ['write' => $points('write'), 'read' => $points('read'), 'heat' => $points('heat')];
    }
}
