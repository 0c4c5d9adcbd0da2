<?php

declare(strict_types=1);

namespace App\Models\Runs;

use App\Models\Row;
use App\Models\WritesBookLines;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * Why a run counts no longer. The run stays, and so does this, even when it is taken back.
 *
 * @property int $id
 * @property int $run_id
 * @property string $reason
 * @property string $recorded_by
 * @property string|null $withdrawn why it counts again
 * @property string|null $revoked_key of the station that signed it, where that is why
 * @property Carbon $created_at
 * @property-read Run $run
 */
final class RunVoid extends Row
{
    use WritesBookLines;

    protected $guarded = [];

    /** @return BelongsTo<Run, $this> */
    public function run(): BelongsTo
    {
        return $this->belongsTo(Run::class);
    }
}
