<?php

declare(strict_types=1);

namespace App\Models\Shoot;

use App\Models\Cards\Card;
use App\Models\Kit\Camera;
use App\Models\Kit\CameraMode;
use App\Models\Row;
use App\Models\WritesBookLines;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Tally\Shoot\StopCause;

/**
 * A recording that stopped, and by what.
 *
 * @property int $id
 * @property int $camera_id
 * @property int $card_id
 * @property int|null $camera_mode_id
 * @property StopCause $cause
 * @property float|null $after seconds into the recording
 * @property string $by
 * @property Carbon $logged_at
 * @property-read Camera $camera
 * @property-read Card $card
 * @property-read CameraMode|null $mode
 */
final class StoppedRecording extends Row
{
    use WritesBookLines;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['cause' => StopCause::class, 'after' => 'float', 'logged_at' => 'datetime'];

    /** @return BelongsTo<Camera, $this> */
    public function camera(): BelongsTo
    {
        return $this->belongsTo(Camera::class);
    }

    /** @return BelongsTo<Card, $this> */
    public function card(): BelongsTo
    {
        return $this->belongsTo(Card::class);
    }

    /** @return BelongsTo<CameraMode, $this> */
    public function mode(): BelongsTo
    {
        return $this->belongsTo(CameraMode::class, 'camera_mode_id');
    }
}
