<?php

declare(strict_types=1);

namespace App\Models\Shoot;

use App\Models\AsValue;
use App\Models\Cards\Card;
use App\Models\Row;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Tally\Shoot\Whole\KeptCard;

/**
 * A card that goes along on a shoot.
 *
 * @property int $id
 * @property int $shoot_id
 * @property int $card_id
 * @property int $place number among the places of the shoot
 * @property int $turn in which the cards of a place are used
 * @property string $at the place in words
 * @property KeptCard $packed
 * @property-read Shoot $shoot
 * @property-read Card $card
 */
final class ShootCard extends Row
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['packed' => AsValue::class.':'.KeptCard::class, 'place' => 'int', 'turn' => 'int'];

    /** @return BelongsTo<Shoot, $this> */
    public function shoot(): BelongsTo
    {
        return $this->belongsTo(Shoot::class);
    }

    /** @return BelongsTo<Card, $this> */
    public function card(): BelongsTo
    {
        return $this->belongsTo(Card::class);
    }
}
