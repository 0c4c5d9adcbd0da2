<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Support\Carbon;

/**
 * The books were brought up to date.
 *
 * @property int $id
 * @property int $changes of the books
 * @property string $backup of before, as a file of this machine
 * @property list<array{card: string, before: string, verdict: string, why: string}> $verdicts that changed by it
 * @property Carbon $made_at
 */
final class Update extends Row
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['verdicts' => 'array', 'made_at' => 'datetime'];
}
