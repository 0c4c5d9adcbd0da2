<?php

declare(strict_types=1);

namespace App\Models\Ledger;

use App\Models\Cards\Card;
use App\Models\Kit\Camera;
use App\Models\Kit\Reader;
use App\Models\Row;
use App\Models\WritesBookLines;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Tally\Ledger\IncidentKind;

/**
 * Something that happened to a card besides tests.
 *
 * @property int $id
 * @property int $card_id
 * @property int|null $reader_id that was named with it
 * @property int|null $camera_id
 * @property IncidentKind $kind
 * @property string $note the line as it was written
 * @property string $recorded_by
 * @property Carbon $happened_at
 * @property Carbon $created_at
 * @property-read Card $card
 * @property-read Reader|null $reader
 * @property-read Camera|null $camera
 */
final class CardIncident extends Row
{
    use WritesBookLines;

    public $timestamps = false;

    protected $table = 'incidents';

    protected $guarded = [];

    protected $casts = ['kind' => IncidentKind::class, 'happened_at' => 'datetime', 'created_at' => 'datetime'];

    /** @return BelongsTo<Card, $this> */
    public function card(): BelongsTo
    {
        return $this->belongsTo(Card::class);
    }

    /** @return BelongsTo<Reader, $this> */
    public function reader(): BelongsTo
    {
        return $this->belongsTo(Reader::class);
    }

    /** @return BelongsTo<Camera, $this> */
    public function camera(): BelongsTo
    {
        return $this->belongsTo(Camera::class);
    }

    /** `stuck in R3`, `error in camera C1`. */
    public function words(): string
    {
        $in = $this->reader->tag ?? $this->camera->tag ?? null;

        return $this->kind->label().match (true) {
            $in === null => '',
            $this->kind === IncidentKind::CameraError => " {$in}",
            default => " in {$in}",
        };
    }
}
