<?php

declare(strict_types=1);

namespace App\Models\Kit;

use App\Models\Cards\Card;
use App\Models\Offload\Offload;
use App\Models\Row;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Tally\Transfer\TroubleKind;

/**
 * Something that a drive got wrong while a copy was read back.
 *
 * @property int $id
 * @property string $drive its tag
 * @property int $offload_id
 * @property int $card_id
 * @property TroubleKind $kind
 * @property string $path of the file, from the folder of the card
 * @property string $by who brought the card home
 * @property Carbon $found_at
 * @property-read Offload $offload
 * @property-read Card $card
 */
final class DriveFinding extends Row
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['kind' => TroubleKind::class, 'found_at' => 'datetime'];

    /** @return BelongsTo<Offload, $this> */
    public function offload(): BelongsTo
    {
        return $this->belongsTo(Offload::class);
    }

    /** @return BelongsTo<Card, $this> */
    public function card(): BelongsTo
    {
        return $this->belongsTo(Card::class);
    }
}
