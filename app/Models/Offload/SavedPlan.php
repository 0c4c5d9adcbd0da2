<?php

declare(strict_types=1);

namespace App\Models\Offload;

use App\Models\AsValue;
use App\Models\Row;
use Illuminate\Support\Carbon;
use Tally\Offload\Basis\KnownRate;
use Tally\Offload\Decision;
use Tally\Offload\Plan;
use Tally\Offload\PlanFile;
use Tally\Offload\Question\Goal;

/**
 * A plan that is kept with the rates of its day, and what came of it.
 *
 * @property int $id
 * @property string $name
 * @property Goal $goal
 * @property string $question a plan file
 * @property Decision $decision
 * @property list<KnownRate> $rates what it rests on
 * @property float $done seconds
 * @property float $free seconds
 * @property int $hands
 * @property string $recorded_by
 * @property Carbon $created_at
 * @property Carbon|null $begun_at
 * @property Carbon|null $free_at when all cards were free
 * @property Carbon|null $done_at when all was safe
 * @property string|null $note
 */
final class SavedPlan extends Row
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'goal' => Goal::class,
        'decision' => AsValue::class.':'.Decision::class,
        'rates' => AsValue::class.':'.KnownRate::class.',list',
        'done' => 'float',
        'free' => 'float',
        'created_at' => 'datetime',
        'begun_at' => 'datetime',
        'free_at' => 'datetime',
        'done_at' => 'datetime',
    ];

    /** As it was made: with the rates of its day. */
    public function plan(): Plan
    {
        return Plan::decided(PlanFile::read($this->question)->question, $this->goal, $this->decision);
    }

    /** Seconds it really took until all was safe; null while nobody has said. */
    public function took(): ?float
    {
        return $this->begun_at === null || $this->done_at === null ? null : $this->begun_at->diffInSeconds($this->done_at);
    }
}
