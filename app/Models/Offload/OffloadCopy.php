<?php

declare(strict_types=1);

namespace App\Models\Offload;

use App\Models\AsValue;
use App\Models\Row;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Tally\Device\Place;
use Tally\Transfer\Filed\BesideCopy;

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
 * @property Place|null $place what it lay on when it was read back
 * @property string|null $record XXH128 of the record beside it
 * @property CopyStanding|null $standing what is known of it since; null before it was read back
 * @property Carbon|null $standing_at
 * @property string|null $standing_by
 * @property string|null $standing_note
 * @property Carbon|null $beat_at when its worker said last that it goes on
 * @property int|null $pid of that worker
 * @property int|null $worker the lane of its station that carries it out
 * @property int|null $job_id of the queue
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
        'place' => AsValue::class.':'.Place::class,
        'standing' => CopyStanding::class,
        'standing_at' => 'datetime',
        'beat_at' => 'datetime:Y-m-d H:i:s.v',
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

    /** What it lay on when it was read back; of what is made up, and of books of before, only which drive it was. */
    public function place(): Place
    {
        return $this->place ?? Place::ofDrive($this->drive);
    }

    /** Whether a card may be cleared because of it, as far as it was looked at; its drive may be out of service by now. */
    public function stands(): bool
    {
        return $this->state === CopyState::Verified && ($this->standing === null || $this->standing->counts());
    }

    /** The record beside it, on the machine that made it. */
    public function recordFile(): ?string
    {
        foreach ($this->lists ?? [] as $list) {
            if (str_ends_with($list, '.'.BesideCopy::RECORD)) {
                return $list;
            }
        }

        return null;
    }

    /** Whether it comes from the drive of the first copy, and not from the card. */
    public function isRelayed(): bool
    {
        return $this->nth > 1 && $this->offloadCard->scheme->value === 'relay';
    }
}
