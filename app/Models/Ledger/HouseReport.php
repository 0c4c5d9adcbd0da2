<?php

declare(strict_types=1);

namespace App\Models\Ledger;

use App\Models\Row;
use Illuminate\Support\Carbon;

/**
 * A report of the house for a period.
 *
 * @property int $id
 * @property Carbon $from the first day
 * @property Carbon $to the last day
 * @property list<string> $todo what is to be looked at: `card 7`, `offload 3`, `plan 1`
 * @property int $taken of them
 * @property array<string, array<string, int>>|null $figures counts by what they are of; null until they are gathered
 * @property list<array{tag: string, name: string, verdict: string, why: string}> $struck
 * @property list<array{name: string, cards: int, bytes: int, alone: float, took: float, is_made_up: bool}> $carried home; seconds
 * @property string $by
 * @property Carbon $begun_at
 */
final class HouseReport extends Row
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'from' => 'date',
        'to' => 'date',
        'figures' => 'array',
        'struck' => 'array',
        'carried' => 'array',
        'todo' => 'array',
        'begun_at' => 'datetime',
    ];

    public function isDone(): bool
    {
        return $this->figures !== null && $this->taken >= count($this->todo);
    }
}
