<?php

declare(strict_types=1);

namespace App\Models\Kit;

use App\Models\AsValue;
use App\Models\Row;
use App\Models\WritesBookLines;
use Tally\Quantity\Bytes;
use Tally\Quantity\Span;
use Tally\Shoot\Calibration;

/**
 * How fast a mode was seen to fill a card.
 *
 * @property int $id
 * @property bool $is_clip whether it is a clip; else it is what the camera says
 * @property Bytes $bytes
 * @property float $seconds
 */
final class ModeCalibration extends Row
{
    use WritesBookLines;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['is_clip' => 'boolean', 'bytes' => AsValue::class.':'.Bytes::class, 'seconds' => 'float'];

    public function asCalibration(): Calibration
    {
        $length = Span::seconds($this->seconds);

        return $this->is_clip ? Calibration::clip($this->bytes, $length) : Calibration::says($this->bytes, $length);
    }
}
