<?php

declare(strict_types=1);

namespace App\Models\Stations;

use App\Models\AsValue;
use App\Models\Kit\Host;
use App\Models\Row;
use App\Models\Runs\Run;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Tally\Measured\Instrument;
use Tally\Quantity\Rate;
use Tally\Record\RunKind;

/**
 * A machine where cards are plugged in. Its runs wait in a queue of its own.
 *
 * @property int $id
 * @property string $name
 * @property int $host_id
 * @property Carbon|null $worker_seen_at
 * @property string|null $holder the folder on a machine that works under its name
 * @property Rate|null $engine_write what its own engine gives on memory
 * @property Rate|null $engine_read
 * @property string|null $engine_of of which code on which machine
 * @property-read Host $host
 * @property-read int $going where it was counted
 * @property-read \Illuminate\Database\Eloquent\Collection<int, Slot> $slots
 */
final class Station extends Row
{
    /** A worker that said nothing for so many seconds is taken to be away. */
    public const AWAY_AFTER = 15;

    protected $guarded = [];

    protected $casts = [
        'worker_seen_at' => 'datetime',
        'engine_write' => AsValue::class.':'.Rate::class,
        'engine_read' => AsValue::class.':'.Rate::class,
    ];

    /** The station of this machine. */
    public static function here(): ?self
    {
        return self::query()->where('name', config('tally.station'))->first();
    }

    /** What it gives itself; null where that was never measured. */
    public function instrument(): ?Instrument
    {
        return $this->engine_write === null && $this->engine_read === null ? null : new Instrument($this->engine_write, $this->engine_read);
    }

    /** Whether it is this machine. */
    public function isHere(): bool
    {
        return $this->name === config('tally.station');
    }

    /** @throws ValidationException when it is in no book */
    public static function mustBeHere(): self
    {
        return self::here() ??
            throw ValidationException::withMessages([
                'slot' => 'This machine is not on the list of benches. Set TALLY_STATION in .env to one that is.',
            ]);
    }

    /**
     * A slot of it with all that a chain needs.
     *
     * @throws ValidationException when it has no such slot
     */
    public function slot(int $id): Slot
    {
        return $this->slots()
            ->with(['reader.slots', 'reader.cable', 'port.host'])
            ->find($id) ??
            throw ValidationException::withMessages(['slot' => "This slot is not one of {$this->name}’s. Choose one of the list."]);
    }

    /** @return BelongsTo<Host, $this> */
    public function host(): BelongsTo
    {
        return $this->belongsTo(Host::class);
    }

    /** @return HasMany<Run, $this> */
    public function runs(): HasMany
    {
        return $this->hasMany(Run::class);
    }

    /** @return HasMany<Slot, $this> */
    public function slots(): HasMany
    {
        return $this->hasMany(Slot::class)->chaperone('station');
    }

    public function queue(): string
    {
        return 'station-'.Str::slug($this->name);
    }

    /** The queue in which such a run waits. */
    public function queueOf(RunKind $kind): string
    {
        return $kind->isProof() ? $this->proofQueue() : $this->queue();
    }

    /** Proofs wait apart: several of them may go on at once, and none holds up a speed run. */
    public function proofQueue(): string
    {
        return $this->queue().'-proofs';
    }

    /** Copies of an offload: several at once, and none waits behind a proof. */
    public function offloadQueue(): string
    {
        return $this->queue().'-offload';
    }

    public function hasWorker(): bool
    {
        return $this->worker_seen_at !== null && $this->worker_seen_at->isAfter(now()->subSeconds(self::AWAY_AFTER));
    }
}
