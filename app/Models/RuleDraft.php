<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Support\Carbon;
use Tally\Reading\Thresholds;

/**
 * Rules of judgement that somebody would like, and what they would change: nothing goes by them until they are kept.
 *
 * @property int $id
 * @property array{full: float, near: float, short: float, above: float} $shares
 * @property string $why
 * @property string $by
 * @property int $cards that are to be looked at
 * @property int $looked that were looked at
 * @property int $last the last of them, by its id
 * @property list<array{card: int, tag: string, from: string, to: string, next: string}> $changes
 * @property Carbon $begun_at
 * @property Carbon|null $kept_at
 */
final class RuleDraft extends Row
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['shares' => 'array', 'changes' => 'array', 'begun_at' => 'datetime', 'kept_at' => 'datetime'];

    public function by(): Thresholds
    {
        return new Thresholds(...$this->shares);
    }

    public function isDone(): bool
    {
        return $this->looked >= $this->cards;
    }
}
