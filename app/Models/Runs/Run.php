<?php

declare(strict_types=1);

namespace App\Models\Runs;

use App\Models\AsValue;
use App\Models\Cards\Card;
use App\Models\Kit\Cable;
use App\Models\Kit\Drive;
use App\Models\Kit\Port;
use App\Models\Kit\Reader;
use App\Models\Row;
use App\Models\Stations\Slot;
use App\Models\Stations\SlotKind;
use App\Models\Stations\Station;
use Closure;
use Illuminate\Database\Eloquent\Casts\Attribute;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Tally\Device\Identity;
use Tally\Device\IdentityKind;
use Tally\Evidence\Source;
use Tally\Evidence\SpeedReading;
use Tally\Label\Label;
use Tally\Measured\Chain;
use Tally\Measured\Reached;
use Tally\Probe\Observing\Progress;
use Tally\Probe\Proof\Checkpoint;
use Tally\Reading\Thresholds;
use Tally\Record\CopyRecord;
use Tally\Record\Parameters;
use Tally\Record\ProofRecord;
use Tally\Record\Result;
use Tally\Record\RunKind;
use Tally\Record\RunSource;
use Tally\Record\SpeedRecord;
use Tally\Record\SustainedRecord;
use Tally\Value\Values;

/**
 * Something done to a card, and what came of it.
 *
 * @property int $id
 * @property int $card_id
 * @property int|null $station_id
 * @property int|null $slot_id
 * @property Identity|null $medium what lay in the slot when it was ordered
 * @property string|null $may_be_lost why footage that is not secured may be, in writing
 * @property string|null $medium_serial the medium's own serial number, where it tells one
 * @property RunKind $kind
 * @property RunState $state
 * @property RunSource $source
 * @property int|null $reader_id
 * @property int|null $cable_id
 * @property int|null $port_id
 * @property int|null $drive_id where a timed copy went
 * @property Chain $chain as it was measured over
 * @property Parameters $parameters of its kind
 * @property Progress|null $progress
 * @property-read Result|null $result of its kind
 * @property-write Result|array<mixed>|null $result
 * @property float|null $carried what its reader was seen to carry, bytes a second
 * @property float|null $carried_over what the link to the host carries on paper, bytes a second
 * @property array<string, mixed>|null $origin the file it was read in from: run, hash, made_at, source
 * @property Checkpoint|null $checkpoint where a proof can be taken up again
 * @property int|null $job_id which job of the queue carries it out
 * @property int|null $lane which worker of the station carries it out
 * @property string|null $message
 * @property string|null $signed_by the key of the station that signed the file it was read in from
 * @property string|null $beside what else was going on: such a speed is kept apart
 * @property bool $stop_requested
 * @property string|null $recorded_by
 * @property Carbon|null $started_at
 * @property Carbon|null $ended_at
 * @property Carbon $created_at
 * @property-read Card $card
 * @property-read Slot|null $slot
 * @property-read Station|null $station
 * @property-read RunSample|null $sample
 * @property-read RunVoid|null $void why it counts no longer
 * @property-read Collection<int, RunVoid> $voids
 * @property-read Collection<int, HeatReading> $heat
 * @property-read Reader|null $reader
 * @property-read Cable|null $cable
 * @property-read Port|null $port
 * @property-read Drive|null $drive
 */
final class Run extends Row
{
    protected $guarded = [];

    protected $attributes = ['source' => RunSource::Device->value, 'chain' => '{}', 'parameters' => '{}'];

    /** @var array<string, Result> by its JSON */
    private array $read = [];

    protected $casts = [
        'kind' => RunKind::class,
        'medium' => AsValue::class.':'.Identity::class,
        'state' => RunState::class,
        'source' => RunSource::class,
        'chain' => AsValue::class.':'.Chain::class,
        'progress' => AsValue::class.':'.Progress::class,
        'origin' => 'array',
        'carried' => 'float',
        'carried_over' => 'float',
        'checkpoint' => AsValue::class.':'.Checkpoint::class,
        'stop_requested' => 'boolean',
        'started_at' => 'datetime',
        'ended_at' => 'datetime',
    ];

    /** @return BelongsTo<Card, $this> */
    public function card(): BelongsTo
    {
        return $this->belongsTo(Card::class);
    }

    /** @return BelongsTo<Slot, $this> */
    public function slot(): BelongsTo
    {
        return $this->belongsTo(Slot::class);
    }

    /** @return BelongsTo<Station, $this> */
    public function station(): BelongsTo
    {
        return $this->belongsTo(Station::class);
    }

    /** @return HasOne<RunSample, $this> */
    public function sample(): HasOne
    {
        return $this->hasOne(RunSample::class);
    }

    /** @return HasMany<RunVoid, $this> */
    public function voids(): HasMany
    {
        return $this->hasMany(RunVoid::class)->orderBy('id');
    }

    /** @return HasOne<RunVoid, $this> */
    public function void(): HasOne
    {
        return $this->hasOne(RunVoid::class)->whereNull('withdrawn');
    }

    /** @return HasMany<HeatReading, $this> */
    public function heat(): HasMany
    {
        return $this->hasMany(HeatReading::class)->orderBy('id');
    }

    /** @return BelongsTo<Reader, $this> */
    public function reader(): BelongsTo
    {
        return $this->belongsTo(Reader::class);
    }

    /** @return BelongsTo<Cable, $this> */
    public function cable(): BelongsTo
    {
        return $this->belongsTo(Cable::class);
    }

    /** @return BelongsTo<Port, $this> */
    public function port(): BelongsTo
    {
        return $this->belongsTo(Port::class);
    }

    /** @return BelongsTo<Drive, $this> */
    public function drive(): BelongsTo
    {
        return $this->belongsTo(Drive::class);
    }

    /** Whether it is evidence: something was measured, it has ended, nobody voided it, and nothing else was going on that bears on it. */
    public function counts(): bool
    {
        return $this->result !== null &&
            ! $this->state->isGoing() &&
            $this->void === null &&
            ! $this->isOfPlainFolder() &&
            ($this->beside === null || $this->kind->isProof());
    }

    /** What is said of one that was. */
    public const OF_A_FOLDER = 'in a folder on this computer, which judges no card';

    /** Whether it was made in a folder on this computer’s own disk, and tells of that and of no card. */
    public function isOfPlainFolder(): bool
    {
        return $this->medium?->kind === IdentityKind::Folder;
    }

    /** Whether a proof that ended before its end can be taken up again. */
    public function canContinue(): bool
    {
        return $this->kind === RunKind::Proof &&
            $this->checkpoint !== null &&
            ! in_array($this->state, [RunState::Done, RunState::Running, RunState::Waiting], true);
    }

    /** Whether all that a proof wrote still lies on the card, to be read once more: a folder is cleared at its end. */
    public function canReadAgain(): bool
    {
        return $this->kind === RunKind::Proof &&
            $this->state === RunState::Done &&
            $this->checkpoint?->allWritten === true &&
            $this->slot?->kind === SlotKind::Raw;
    }

    public function speeds(): ?SpeedRecord
    {
        return $this->result instanceof SpeedRecord ? $this->result : null;
    }

    public function sustained(): ?SustainedRecord
    {
        return $this->result instanceof SustainedRecord ? $this->result : null;
    }

    public function proof(): ?ProofRecord
    {
        return $this->result instanceof ProofRecord ? $this->result : null;
    }

    public function copied(): ?CopyRecord
    {
        return $this->result instanceof CopyRecord ? $this->result : null;
    }

    /**
     * What a speed run says of a card with this label, or of its own card.
     *
     * @param  list<Reached>|(Closure(): list<Reached>)  $reached  what the house saw its readers carry
     */
    public function reading(?Label $label = null, array|Closure $reached = []): ?SpeedReading
    {
        $speeds = $this->speeds();

        return $speeds === null
            ? null
            : SpeedReading::of(
                $speeds,
                $this->chain,
                $label ?? $this->card->label(),
                $this->isTyped(),
                reached: $reached,
                by: app(Thresholds::class),
            );
    }

    /** Whether somebody typed its figures, here or where it was read in from. */
    public function isTyped(): bool
    {
        return $this->source === RunSource::Typed || ($this->origin['source'] ?? null) === RunSource::Typed->value;
    }

    /** @return Attribute<Parameters, Parameters> how it was asked for */
    protected function parameters(): Attribute
    {
        return Attribute::make(
            get: fn (mixed $kept): Parameters => $this->kind->parameters(self::decoded($kept), 'parameters'),
            set: fn (Parameters $parameters): string => Values::json($parameters),
        );
    }

    /**
     * What came of it. One that was read from a file is kept to the letter, so that its hash stays what it was: it may be given as
     * the array it came as, once it has been read.
     *
     * @return Attribute<Result|null, Result|array<mixed>|null>
     */
    protected function result(): Attribute
    {
        return Attribute::make(
            get: fn (mixed $kept): ?Result => is_string($kept) ? ($this->read[$kept] ??= $this->readResult($kept)) : null,
            set: fn (Result|array|null $result): ?string => $result === null ? null : Values::json($result),
        )->withoutObjectCaching();
    }

    /** @return array<mixed>|null the result to the letter, as it is hashed */
    public function rawResult(): ?array
    {
        $raw = $this->getRawOriginal('result');

        return is_string($raw) ? self::decoded($raw) : null;
    }

    private function readResult(string $kept): Result
    {
        return $this->kind->result(self::decoded($kept), self::decoded($this->attributes['parameters']), 'result');
    }

    /** @return array<mixed> */
    private static function decoded(mixed $json): array
    {
        return is_string($json) ? (array) json_decode($json, true) : [];
    }

    /** As a piece of evidence. */
    public function asSource(): Source
    {
        // As it is kept, in UTC: a page asks this of a thousand runs, and a date that is made and printed takes longer than all else.
        $ended = $this->getAttributes()['ended_at'] ?? null;
        $on = is_string($ended) ? str_replace(' ', 'T', substr($ended, 0, 19)).'Z' : null;

        return new Source($this->name(), $on, $this->source, $this->isTyped());
    }

    /** The name by which reasons refer to it. */
    public function name(): string
    {
        return "run {$this->id}";
    }
}
