<?php

declare(strict_types=1);

namespace App\Models\Offload;

use App\Models\Row;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;

/**
 * One copy of a card, on one drive.
 *
 * @property int $id
 * @property int $offload_card_id
 * @property int $nth from 1
 * @property string $drive
 * @property CopyState $state
 * @property int $copied bytes
 * @property int $verified bytes that were read back
 * @property array{copy: array{float, float}, back: array{float, float}|null} $planned seconds from the beginning
 * @property Carbon|null $copy_at when copying began
 * @property Carbon|null $copied_at
 * @property Carbon|null $back_at when reading back began
 * @property Carbon|null $verified_at
 * @property string|null $message why it failed
 * @property list<array<string, string|null>>|null $troubles files that were wrong
 * @property list<string>|null $lists beside it
 * @property-read OffloadCard $offloadCard
 */
final class OffloadCopy extends Row
{
    public $timestamps = false;

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    protected $casts = [
        'state' => CopyState::class,
        'copied' => 'integer',
        'verified' => 'integer',
        'planned' => 'array',
        'troubles' => 'array',
        'lists' => 'array',
        'copy_at' => 'datetime:Y-m-d H:i:s.v',
        'copied_at' => 'datetime:Y-m-d H:i:s.v',
        'back_at' => 'datetime:Y-m-d H:i:s.v',
        'verified_at' => 'datetime:Y-m-d H:i:s.v',
    ];

    /** @return BelongsTo<OffloadCard, $this> */
    public function offloadCard(): BelongsTo
    {
        return $this->belongsTo(OffloadCard::class);
    }

    /** Whether it comes from the drive of the first copy, and not from the card. */
    public function isRelayed(): bool
    {
        return $this->nth > 1 && $this->offloadCard->scheme->value === 'relay';
    }
}
