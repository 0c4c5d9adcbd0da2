<?php

declare(strict_types=1);

namespace App\Models;

/**
 * A picture of one side of a card.
 *
 * @property int $id
 * @property int $card_id
 * @property string $side front or back
 * @property string $file path below the photos' folder
 * @property int $width
 * @property int $height
 */
final class Photo extends Row
{
    public const SIDES = ['front', 'back'];

    protected $guarded = [];
}
