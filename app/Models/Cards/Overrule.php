<?php

declare(strict_types=1);

namespace App\Models\Cards;

use App\Models\Row;
use App\Models\WritesBookLines;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Tally\Verdict\VerdictKind;

/**
 * What a person says of a card instead of its verdict, and why. It stays, even when it is taken back.
 *
 * @property int $id
 * @property int $card_id
 * @property VerdictKind $derived what the evidence said then
 * @property VerdictKind $verdict what the person says
 * @property string $reason
 * @property string $recorded_by
 * @property string|null $withdrawn why the derived one stands again
 * @property Carbon $created_at
 * @property-read Card $card
 */
final class Overrule extends Row
{
    use WritesBookLines;

    protected $guarded = [];

    protected $casts = ['derived' => VerdictKind::class, 'verdict' => VerdictKind::class];

    /** @return BelongsTo<Card, $this> */
    public function card(): BelongsTo
    {
        return $this->belongsTo(Card::class);
    }
}
