<?php

declare(strict_types=1);

namespace App\Models\Ledger;

use App\Models\Row;

/**
 * What a thing that was bought saved of one plan that was carried out.
 *
 * @property int $id
 * @property int $purchase_id
 * @property string $what `offload 3`, `plan 1`
 * @property float|null $seconds null where it was not used, or where it cannot be told
 */
final class PurchaseSaving extends Row
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['seconds' => 'float'];
}
