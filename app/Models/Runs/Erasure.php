<?php

declare(strict_types=1);

namespace App\Models\Runs;

use App\Models\AsValue;
use App\Models\Cards\Card;
use App\Models\Row;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use LogicException;
use Tally\Device\Identity;

/**
 * A line of the ledger: what was destroyed, by whom, when. Lines are only ever added.
 *
 * @property int $id
 * @property int|null $card_id
 * @property int|null $run_id
 * @property string $what
 * @property string $path
 * @property Identity|null $medium what the path led to; lines of before do not know
 * @property int $bytes
 * @property string $person
 * @property string $station
 * @property string|null $why
 * @property Carbon $erased_at
 * @property-read Card|null $card
 */
final class Erasure extends Row
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['erased_at' => 'datetime', 'bytes' => 'integer', 'medium' => AsValue::class.':'.Identity::class];

    protected static function booted(): void
    {
        $never = fn (): never => throw new LogicException('The ledger is only ever added to.');
        self::updating($never);
        self::deleting($never);
    }

    /** @return BelongsTo<Card, $this> */
    public function card(): BelongsTo
    {
        return $this->belongsTo(Card::class);
    }
}
