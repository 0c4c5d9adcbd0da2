<?php

declare(strict_types=1);

namespace App\Models;

use App\Runs\RunKind;
use App\Runs\RunState;
use Illuminate\Database\Eloquent\Casts\AsFluent;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Carbon;
use Illuminate\Support\Fluent;

/**
 * Something done to a card, and what came of it.
 *
 * @property int $id
 * @property int $card_id
 * @property int|null $station_id
 * @property int|null $slot_id
 * @property RunKind $kind
 * @property RunState $state
 * @property Fluent<string, mixed> $chain see App\Runs\ChainRecord
 * @property Fluent<string, mixed> $parameters size in bytes, runs
 * @property Fluent<string, mixed>|null $progress see App\Runs\ProgressRecord
 * @property Fluent<string, mixed>|null $result see App\Runs\SpeedRecord, App\Runs\ProofRecord
 * @property string|null $message
 * @property bool $stop_requested
 * @property string|null $recorded_by
 * @property Carbon|null $started_at
 * @property Carbon|null $ended_at
 * @property Carbon $created_at
 * @property-read Card $card
 * @property-read Slot|null $slot
 * @property-read Station|null $station
 * @property-read RunSample|null $sample
 */
final class Run extends Model
{
    protected $guarded = [];

    protected $casts = [
        'kind' => RunKind::class,
        'state' => RunState::class,
        'chain' => AsFluent::class,
        'parameters' => AsFluent::class,
        'progress' => AsFluent::class,
        'result' => AsFluent::class,
        'stop_requested' => 'boolean',
        'started_at' => 'datetime',
        'ended_at' => 'datetime',
    ];

    /** @return BelongsTo<Card, $this> */
    public function card(): BelongsTo
    {
        return $this->belongsTo(Card::class);
    }

    /** @return BelongsTo<Slot, $this> */
    public function slot(): BelongsTo
    {
        return $this->belongsTo(Slot::class);
    }

    /** @return BelongsTo<Station, $this> */
    public function station(): BelongsTo
    {
        return $this->belongsTo(Station::class);
    }

    /** @return HasOne<RunSample, $this> */
    public function sample(): HasOne
    {
        return $this->hasOne(RunSample::class);
    }

    /** The name by which reasons refer to it. */
    public function name(): string
    {
        return "run {$this->id}";
    }
}
