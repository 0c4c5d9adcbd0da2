<?php

declare(strict_types=1);

namespace App\Models\Cards;

use App\Models\Row;
use Illuminate\Support\Carbon;

/**
 * What was changed of a card's label at once, and by whom.
 *
 * @property int $id
 * @property int $card_id
 * @property int $revision which the card came to by it
 * @property array<string, array{string, string}> $changes field → before and after, as the form shows them
 * @property string|null $recorded_by
 * @property Carbon $created_at
 */
final class Correction extends Row
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['changes' => 'array', 'created_at' => 'datetime'];
}
