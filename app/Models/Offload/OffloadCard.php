<?php

declare(strict_types=1);

namespace App\Models\Offload;

use App\Models\AsValue;
use App\Models\Cards\Card;
use App\Models\Row;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Tally\Device\Identity;
use Tally\Offload\Question\Scheme;
use Tally\Transfer\Contents;

/**
 * A card that comes home.
 *
 * @property int $id
 * @property int $offload_id
 * @property int $card_id
 * @property int $place in the order in which hands serve them
 * @property string $slot “reader slot”
 * @property int $turn among the cards of that slot, from 1
 * @property Scheme $scheme
 * @property list<string> $drives for each copy
 * @property string $folder on each drive
 * @property int $bytes
 * @property int $files
 * @property float $planned_in seconds from the beginning
 * @property float $planned_free
 * @property float|null $planned_clear
 * @property Carbon|null $in_at
 * @property Carbon|null $free_at
 * @property Carbon|null $clear_at from when it may be cleared
 * @property Identity|null $medium what lay in the slot when it was put in
 * @property string|null $confirmed_by
 * @property int|null $footage_act_id the record of footage that lay on it when it was read
 * @property Contents|null $found what was found on it before the first byte
 * @property Carbon|null $read_at when its first byte was read
 * @property string|null $refused why what lies in the slot was not taken for it
 * @property WhyRefused|null $refused_for
 * @property string|null $less_by who said that less than was marked is right: it is secured in part then
 * @property-read Offload $offload
 * @property-read Card $card
 * @property-read Collection<int, OffloadCopy> $copies the first one first
 */
final class OffloadCard extends Row
{
    public $timestamps = false;

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    protected $casts = [
        'scheme' => Scheme::class,
        'drives' => 'array',
        'medium' => AsValue::class.':'.Identity::class,
        'found' => AsValue::class.':'.Contents::class,
        'read_at' => 'datetime:Y-m-d H:i:s.v',
        'refused_for' => WhyRefused::class,
        'bytes' => 'integer',
        'planned_in' => 'float',
        'planned_free' => 'float',
        'planned_clear' => 'float',
        'in_at' => 'datetime:Y-m-d H:i:s.v',
        'free_at' => 'datetime:Y-m-d H:i:s.v',
        'clear_at' => 'datetime:Y-m-d H:i:s.v',
    ];

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

    /** @return HasMany<OffloadCopy, $this> */
    public function copies(): HasMany
    {
        return $this->hasMany(OffloadCopy::class)->orderBy('nth')->chaperone('offloadCard');
    }

    /** Whether the next card of its slot was put in after it. */
    public function isFollowed(): bool
    {
        return self::query()
            ->where('offload_id', $this->offload_id)
            ->where('slot', $this->slot)
            ->where('turn', '>', $this->turn)
            ->whereNotNull('in_at')
            ->exists();
    }

    /** In its slot, and not to be taken out yet. */
    public function isIn(): bool
    {
        return $this->in_at !== null && $this->free_at === null;
    }
}
