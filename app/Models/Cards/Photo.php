<?php

declare(strict_types=1);

namespace App\Models\Cards;

use App\Models\Row;

/**
 * A picture of one side of a card.
 *
 * @property int $id
 * @property int $card_id
 * @property string $side front or back
 * @property string|null $jpeg the picture itself; none where an older version left it on the disk of another bench
 * @property int $width
 * @property int $height
 */
final class Photo extends Row
{
    public const SIDES = ['front', 'back'];

    protected $guarded = [];
}
