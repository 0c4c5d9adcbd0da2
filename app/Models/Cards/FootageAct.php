<?php

declare(strict_types=1);

namespace App\Models\Cards;

use App\Models\Row;
use App\Models\WritesBookLines;
use Illuminate\Support\Carbon;

/**
 * That a card carries footage from now on, or was cleared. Lines are only ever added.
 *
 * @property int $id
 * @property int $card_id
 * @property int $bytes 0 when it was cleared
 * @property int $files that it is in; 0 where nobody counted
 * @property string|null $note
 * @property string $recorded_by
 * @property Carbon $created_at
 */
final class FootageAct extends Row
{
    use WritesBookLines;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['bytes' => 'integer', 'files' => 'integer', 'created_at' => 'datetime'];
}
