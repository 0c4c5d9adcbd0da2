<?php

declare(strict_types=1);

namespace App\Models\Kit;

use App\Models\AsValue;
use App\Models\Row;
use App\Models\WritesBookLines;
use Tally\Chain\HostLink;
use Tally\Quantity\Rate;

/**
 * @property int $id
 * @property string $tag
 * @property string $name
 * @property HostLink $link what it is rated for
 */
final class Cable extends Row
{
    use MeasuredLink;
    use WritesBookLines;

    protected $guarded = [];

    protected $casts = ['link' => HostLink::class, 'measured' => AsValue::class.':'.Rate::class];

    public function kindOfLink(): HostLink
    {
        return $this->link;
    }
}
