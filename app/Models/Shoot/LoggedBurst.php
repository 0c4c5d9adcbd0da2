<?php

declare(strict_types=1);

namespace App\Models\Shoot;

use App\Models\AsValue;
use App\Models\Cards\Card;
use App\Models\Kit\Camera;
use App\Models\Row;
use App\Models\WritesBookLines;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Tally\Quantity\Bytes;
use Tally\Quantity\Span;
use Tally\Shoot\Burst;

/**
 * A burst that somebody counted. It belongs to a body and a card.
 *
 * @property int $id
 * @property int $camera_id
 * @property int $card_id
 * @property int $frames until the camera slowed
 * @property Bytes $frame one of them
 * @property float $per_second frames
 * @property float $clear seconds from when it slowed until all was written
 * @property string $by
 * @property Carbon $logged_at
 * @property-read Camera $camera
 * @property-read Card $card
 */
final class LoggedBurst extends Row
{
    use WritesBookLines;

    public $timestamps = false;

    protected $table = 'bursts';

    protected $guarded = [];

    protected $casts = [
        'frames' => 'integer',
        'frame' => AsValue::class.':'.Bytes::class,
        'per_second' => 'float',
        'clear' => 'float',
        'logged_at' => 'datetime',
    ];

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

    public function asBurst(): Burst
    {
        return Burst::logged($this->frames, $this->frame, $this->per_second, Span::seconds($this->clear));
    }
}
