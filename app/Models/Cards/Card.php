<?php

declare(strict_types=1);

namespace App\Models\Cards;

use App\Models\AsValue;
use App\Models\Row;
use App\Models\Runs\Run;
use App\Models\WritesBookLines;
use Illuminate\Database\Eloquent\Casts\AsEnumCollection;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Tally\Buying\Price;
use Tally\Label\Bus;
use Tally\Label\Family;
use Tally\Label\Form;
use Tally\Label\Label;
use Tally\Label\Mark;
use Tally\Ledger\DueTest;
use Tally\Origin\Code;
use Tally\Origin\Origin;
use Tally\Origin\Provenance;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Verdict\Step;
use Tally\Verdict\VerdictKind;

/**
 * @property int $id
 * @property string $tag
 * @property string $name
 * @property Form $form
 * @property Bytes $capacity
 * @property Family|null $family
 * @property Bus|null $bus
 * @property Collection<int, Mark> $marks
 * @property Rate|null $read as printed
 * @property Rate|null $write
 * @property Rate|null $sustained
 * @property float|null $times
 * @property string|null $label_line as it was typed
 * @property Bytes|null $in_decimal what its capacity is where the binary units of its label were meant to be decimal ones
 * @property bool|null $has_unread whether something is printed that may be a speed, and was not taken for one
 * @property int|null $contact_rows
 * @property Bytes $footage to be brought home
 * @property string|null $serial
 * @property string|null $serial_key what of it counts when two are compared
 * @property string|null $back_code
 * @property string|null $back_code_key
 * @property string|null $lot
 * @property string|null $lot_key
 * @property int|null $price minor units
 * @property string|null $currency
 * @property string|null $seller
 * @property string|null $order_no
 * @property Carbon|null $bought_on
 * @property Provenance|null $provenance
 * @property string|null $stand_in
 * @property int $stopped recordings that it stopped itself
 * @property string $line the label in a few words, for the tray
 * @property VerdictKind $verdict what is derived
 * @property VerdictKind|null $overruled what a person says instead
 * @property Step $next_step
 * @property string|null $recorded_by
 * @property Rate|null $keeps_up the worst long write that counts
 * @property Carbon|null $due_on from when on it is tested again; null where it is not
 * @property DueTest|null $due_test
 * @property string|null $due_why
 * @property Carbon|null $retired_on since when it is out of service
 * @property string|null $retired_why
 * @property string|null $retired_by
 * @property int $revision counts up with every correction
 * @property-read Collection<int, Run> $runs
 * @property-read Collection<int, Inspection> $inspections
 * @property-read Collection<int, Photo> $photos
 * @property-read Collection<int, Overrule> $overrules
 * @property-read int|null $runs_count
 * @property-read int|null $going_count
 */
final class Card extends Row
{
    use WritesBookLines;

    protected $guarded = [];

    protected $attributes = ['stopped' => 0];

    private ?Label $label = null;

    /** @var array<string, mixed>|null the columns that the label was made of */
    private ?array $labelled = null;

    public function getRouteKeyName(): string
    {
        return 'tag';
    }

    protected static function booted(): void
    {
        self::saving(function (self $card): void {
            $card->derive();
        });
    }

    /** What is kept beside the label so that lists and comparisons are one query: its line, and the keys of its codes. */
    public function derive(): void
    {
        $this->line = $this->label()->line();
        foreach (['serial', 'back_code', 'lot'] as $code) {
            $typed = $this->getAttributes()[$code] ?? null;
            $this->setAttribute("{$code}_key", Code::key(is_string($typed) ? $typed : null));
        }
    }

    /** @return list<string> what is reckoned from the label, from runs and from acts that have lines of their own */
    protected function derived(): array
    {
        return [
            'line', 'serial_key', 'back_code_key', 'lot_key', 'verdict', 'next_step', 'keeps_up', 'footage', 'footage_files', 'stopped',
            'due_on', 'due_test', 'due_why', 'changed_at', 'revision',
        ];
    }

    /** @return HasMany<Run, $this> */
    public function runs(): HasMany
    {
        return $this->hasMany(Run::class);
    }

    /** @return HasMany<Inspection, $this> */
    public function inspections(): HasMany
    {
        return $this->hasMany(Inspection::class)->orderBy('id');
    }

    /** @return HasMany<Overrule, $this> */
    public function overrules(): HasMany
    {
        return $this->hasMany(Overrule::class)->orderBy('id');
    }

    /** @return HasMany<FootageAct, $this> */
    public function footageActs(): HasMany
    {
        return $this->hasMany(FootageAct::class)->orderByDesc('id');
    }

    /** @return HasMany<Photo, $this> without the pictures themselves */
    public function photos(): HasMany
    {
        return $this->hasMany(Photo::class)->select(['id', 'card_id', 'side', 'width', 'height']);
    }

    /** Whether it is to be tested again today. */
    public function isDue(): bool
    {
        return $this->due_on !== null && $this->due_on->isPast() && $this->retired_on === null;
    }

    public function origin(): Origin
    {
        return new Origin(
            $this->serial,
            $this->back_code,
            $this->lot,
            $this->price === null || $this->currency === null ? null : Price::of($this->price, $this->currency),
            provenance: $this->provenance,
        );
    }

    /** Made once for the columns as they stand: a page asks for it a dozen times, an import for thousands. */
    public function label(): Label
    {
        if ($this->label === null || $this->labelled !== $this->attributes) {
            $this->label = $this->labelOfColumns();
            $this->labelled = $this->attributes;
        }

        return $this->label;
    }

    private function labelOfColumns(): Label
    {
        return new Label(
            $this->form,
            $this->capacity,
            $this->family,
            $this->bus,
            marks: array_values($this->marks->all()),
            read: $this->read,
            write: $this->write,
            times: $this->times,
            contactRows: $this->contact_rows,
            sustained: $this->sustained,
            inDecimal: $this->in_decimal,
            hasUnread: $this->has_unread === true,
        );
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'form' => Form::class,
            'capacity' => AsValue::class.':'.Bytes::class,
            'family' => Family::class,
            'bus' => Bus::class,
            'marks' => AsEnumCollection::of(Mark::class),
            'read' => AsValue::class.':'.Rate::class,
            'write' => AsValue::class.':'.Rate::class,
            'sustained' => AsValue::class.':'.Rate::class,
            'times' => 'float',
            'contact_rows' => 'integer',
            'in_decimal' => AsValue::class.':'.Bytes::class,
            'has_unread' => 'boolean',
            'footage' => AsValue::class.':'.Bytes::class,
            'revision' => 'integer',
            'price' => 'integer',
            'bought_on' => 'date',
            'provenance' => Provenance::class,
            'verdict' => VerdictKind::class,
            'overruled' => VerdictKind::class,
            'next_step' => Step::class,
            'keeps_up' => AsValue::class.':'.Rate::class,
            'due_on' => 'date',
            'due_test' => DueTest::class,
            'retired_on' => 'date',
        ];
    }
}
