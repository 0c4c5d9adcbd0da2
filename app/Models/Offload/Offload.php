<?php

declare(strict_types=1);

namespace App\Models\Offload;

use App\Models\AsValue;
use App\Models\Row;
use App\Models\Stations\Station;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Tally\Device\Place;
use Tally\Offload\Basis\KnownRate;
use Tally\Offload\Decision;
use Tally\Offload\Plan;
use Tally\Offload\PlanFile;
use Tally\Offload\Question\Goal;

/**
 * A plan that is carried out.
 *
 * @property int $id
 * @property int $station_id
 * @property string $name
 * @property Goal $goal
 * @property string $question a plan file
 * @property Decision $decision
 * @property list<KnownRate> $rates what it rests on
 * @property float $planned when it was to be done by the first plan; seconds from its beginning
 * @property int $plans how often it was planned
 * @property OffloadPlaces $places
 * @property bool $is_made_up
 * @property float $pace seconds of its own time in one of ours
 * @property array<string, float> $truth key of a rate → so many times what was reckoned with
 * @property OffloadState $state
 * @property string $by
 * @property Carbon $began_at
 * @property Carbon|null $ended_at
 * @property string|null $pattern by which its folders are called; null before that was kept
 * @property-read Station $station
 * @property-read Collection<int, OffloadCard> $cards in the order of the plan
 */
final class Offload extends Row
{
    public $timestamps = false;

    protected $guarded = [];

    protected $dateFormat = 'Y-m-d H:i:s.v';

    protected $casts = [
        'goal' => Goal::class,
        'decision' => AsValue::class.':'.Decision::class,
        'rates' => AsValue::class.':'.KnownRate::class.',list',
        'places' => AsValue::class.':'.OffloadPlaces::class,
        'truth' => 'array',
        'is_made_up' => 'boolean',
        'planned' => 'float',
        'pace' => 'float',
        'state' => OffloadState::class,
        'began_at' => 'datetime:Y-m-d H:i:s.v',
        'ended_at' => 'datetime:Y-m-d H:i:s.v',
    ];

    /** @return BelongsTo<Station, $this> */
    public function station(): BelongsTo
    {
        return $this->belongsTo(Station::class);
    }

    /** @return HasMany<OffloadCard, $this> */
    public function cards(): HasMany
    {
        return $this->hasMany(OffloadCard::class)->orderBy('place')->chaperone('offload');
    }

    /** The plan by which it goes now. */
    /** What lay at the folder of a drive when it was chosen; null where nobody wrote that down. */
    public function medium(string $drive): ?Place
    {
        return $this->places->media[$drive] ?? null;
    }

    public function plan(): Plan
    {
        return Plan::decided(PlanFile::read($this->question)->question, $this->goal, $this->decision, 0.0);
    }

    /** Seconds of its own time from its beginning. */
    public function seconds(Carbon $at): float
    {
        return $this->pace * ($at->getPreciseTimestamp(3) - $this->began_at->getPreciseTimestamp(3)) / 1000;
    }

    /** @param  float  $seconds  of its own time */
    public function moment(float $seconds): Carbon
    {
        return $this->began_at->copy()->addMilliseconds((int) round((1000 * $seconds) / $this->pace));
    }

    public function isOver(): bool
    {
        return $this->state === OffloadState::Ended;
    }
}
