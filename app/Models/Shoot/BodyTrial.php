<?php

declare(strict_types=1);

namespace App\Models\Shoot;

use App\Models\Cards\Card;
use App\Models\Kit\Camera;
use App\Models\Row;
use App\Models\When;
use App\Models\WritesBookLines;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Tally\Shoot\BodyAnswer;

/**
 * A card that was put into a body, and what that said.
 *
 * @property int $id
 * @property int $camera_id
 * @property int $card_id
 * @property BodyAnswer $answer
 * @property string|null $firmware
 * @property string $by
 * @property Carbon $tried_at
 * @property-read Camera $camera
 * @property-read Card $card
 */
final class BodyTrial extends Row
{
    use WritesBookLines;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['answer' => BodyAnswer::class, 'tried_at' => 'datetime'];

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

    /** `was refused, firmware 2.1, 24 Nov 2026`. */
    public function words(): string
    {
        $firmware = $this->firmware === null ? '' : ", firmware {$this->firmware}";

        return "{$this->answer->label()}{$firmware}, {$this->tried_at->format(When::DAY)}";
    }
}
