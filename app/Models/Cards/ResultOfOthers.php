<?php

declare(strict_types=1);

namespace App\Models\Cards;

use App\Models\Row;
use Illuminate\Support\Carbon;
use Tally\Verdict\VerdictKind;

/**
 * A result file that no station of this house has signed: kept as it came, and shown as theirs.
 *
 * @property int $id
 * @property int $card_id
 * @property string $hash
 * @property VerdictKind $verdict what they say
 * @property int $runs how many it tells of
 * @property string $made_at
 * @property string|null $station who signed it, as the file says
 * @property string|null $key by which it is signed
 * @property string $file JSON
 * @property string $recorded_by who read it in
 * @property Carbon $created_at
 */
final class ResultOfOthers extends Row
{
    protected $table = 'results_of_others';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['verdict' => VerdictKind::class, 'created_at' => 'datetime'];
}
