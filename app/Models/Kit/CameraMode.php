<?php

declare(strict_types=1);

namespace App\Models\Kit;

use App\Models\AsValue;
use App\Models\Row;
use App\Models\WritesBookLines;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Collection;
use Tally\Label\Form;
use Tally\Label\Mark;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;
use Tally\Shoot\Demand;
use Tally\Shoot\Mode;
use Tally\Shoot\ModeKind;
use Tally\Shoot\Recording;

/**
 * A way a camera records.
 *
 * @property int $id
 * @property int $camera_id
 * @property string $name
 * @property ModeKind $kind
 * @property Rate $writes on paper
 * @property Bytes|null $shot of stills, one of them
 * @property float|null $frames a second
 * @property float|null $clip seconds that its takes last at the most
 * @property Mark|null $asks_mark
 * @property bool $asks_guaranteed
 * @property Form|null $asks_form
 * @property bool $refuses
 * @property Recording $records
 * @property Rate|null $proxy_writes what its proxies write in the second slot
 * @property-read Camera $camera
 * @property-read Collection<int, ModeCalibration> $calibrations
 */
final class CameraMode extends Row
{
    use WritesBookLines;

    protected $guarded = [];

    protected $casts = [
        'kind' => ModeKind::class,
        'writes' => AsValue::class.':'.Rate::class,
        'shot' => AsValue::class.':'.Bytes::class,
        'frames' => 'float',
        'clip' => 'float',
        'asks_mark' => Mark::class,
        'asks_guaranteed' => 'boolean',
        'asks_form' => Form::class,
        'refuses' => 'boolean',
        'records' => Recording::class,
        'proxy_writes' => AsValue::class.':'.Rate::class,
    ];

    /** @return BelongsTo<Camera, $this> */
    public function camera(): BelongsTo
    {
        return $this->belongsTo(Camera::class);
    }

    /** @return HasMany<ModeCalibration, $this> */
    public function calibrations(): HasMany
    {
        return $this->hasMany(ModeCalibration::class)->orderBy('id');
    }

    public function asMode(): Mode
    {
        return new Mode(
            $this->name,
            $this->kind,
            $this->writes,
            $this->shot,
            frames: $this->frames,
            demand: new Demand($this->asks_mark, $this->asks_guaranteed, $this->asks_form, $this->refuses),
            recording: $this->records,
            clip: $this->clip === null ? null : Span::seconds($this->clip),
            calibrations: array_values($this->calibrations->map(fn (ModeCalibration $one) => $one->asCalibration())->all()),
            proxies: $this->proxy_writes,
        );
    }
}
