<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Casts\AsEnumCollection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Collection;
use Tally\Label\Bus;
use Tally\Label\Family;
use Tally\Label\Form;
use Tally\Label\Label;
use Tally\Label\Mark;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Verdict\Step;
use Tally\Verdict\VerdictKind;

/**
 * @property int $id
 * @property string $tag
 * @property string $name
 * @property Form $form
 * @property int $capacity bytes
 * @property Family|null $family
 * @property Bus|null $bus
 * @property Collection<int, Mark> $marks
 * @property float|null $read bytes a second, as printed
 * @property float|null $write
 * @property float|null $sustained
 * @property float|null $times
 * @property int|null $contact_rows
 * @property int $footage bytes to be brought home
 * @property string|null $stand_in
 * @property string $line the label in a few words, for the tray
 * @property VerdictKind $verdict
 * @property Step $next_step
 * @property string|null $recorded_by
 * @property-read Collection<int, Run> $runs
 * @property-read int|null $runs_count
 * @property-read int|null $going_count
 */
final class Card extends Model
{
    protected $guarded = [];

    public function getRouteKeyName(): string
    {
        return 'tag';
    }

    protected static function booted(): void
    {
        self::saving(function (self $card): void {
            $card->line = $card->label()->line();
        });
    }

    /** @return HasMany<Run, $this> */
    public function runs(): HasMany
    {
        return $this->hasMany(Run::class);
    }

    public function label(): Label
    {
        return new Label(
            $this->form,
            Bytes::of($this->capacity),
            $this->family,
            $this->bus,
            array_values($this->marks->all()),
            $this->read === null ? null : Rate::bytesPerSecond($this->read),
            $this->write === null ? null : Rate::bytesPerSecond($this->write),
            $this->times,
            $this->contact_rows,
            $this->sustained === null ? null : Rate::bytesPerSecond($this->sustained),
        );
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'form' => Form::class,
            'capacity' => 'integer',
            'family' => Family::class,
            'bus' => Bus::class,
            'marks' => AsEnumCollection::of(Mark::class),
            'read' => 'float',
            'write' => 'float',
            'sustained' => 'float',
            'times' => 'float',
            'contact_rows' => 'integer',
            'footage' => 'integer',
            'verdict' => VerdictKind::class,
            'next_step' => Step::class,
        ];
    }
}
