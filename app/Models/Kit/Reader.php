<?php

declare(strict_types=1);

namespace App\Models\Kit;

use App\Models\AsValue;
use App\Models\Cards\Inspection;
use App\Models\Row;
use App\Models\WritesBookLines;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Collection;
use Tally\Chain\HostLink;
use Tally\Chain\Link;
use Tally\Label\Bus;
use Tally\Quantity\Rate;

/**
 * @property int $id
 * @property string $tag
 * @property string $name
 * @property HostLink $uplink
 * @property bool $camera whether it is a camera used as its own reader
 * @property int|null $cable_id the cable it usually hangs on
 * @property-read Collection<int, ReaderSlot> $slots
 * @property-read Cable|null $cable
 * @property-read int|null $troubles_count
 */
final class Reader extends Row
{
    use MeasuredLink {
        asLink as private linkOfItsKind;
    }
    use WritesBookLines;

    protected $guarded = [];

    protected $attributes = ['camera' => false];

    protected $casts = ['uplink' => HostLink::class, 'measured' => AsValue::class.':'.Rate::class, 'camera' => 'boolean'];

    /** @return HasMany<ReaderSlot, $this> */
    public function slots(): HasMany
    {
        return $this->hasMany(ReaderSlot::class)->with('adapter')->orderBy('id');
    }

    /** @return BelongsTo<Cable, $this> */
    public function cable(): BelongsTo
    {
        return $this->belongsTo(Cable::class);
    }

    /** @return HasMany<Inspection, $this> what was seen in it and went badly */
    public function troubles(): HasMany
    {
        return $this->hasMany(Inspection::class)->whereNull('withdrawn')->where('answer', '!=', 'found');
    }

    public function kindOfLink(): HostLink
    {
        return $this->uplink;
    }

    /** @return list<Bus> of all its slots */
    public function buses(): array
    {
        return array_values($this->slots->flatMap(fn (ReaderSlot $slot): array => $slot->spoken())->unique()->all());
    }

    /** Whether a slot of it speaks the double rate of this card's maker, as the kit says: by the first words of its name. */
    public function matches(string $card): bool
    {
        return $this->slots->contains(
            fn (ReaderSlot $slot): bool => $slot->matches !== null &&
                str_starts_with(mb_strtolower("{$card} "), mb_strtolower(trim($slot->matches)).' '),
        );
    }

    /** The house's own measurement wins; without one, a camera gives far less than its port. */
    public function asLink(): Link
    {
        return $this->camera && $this->measured === null ? $this->uplink->ofCamera() : $this->linkOfItsKind();
    }

    /** Its uplink, or its cable where that is slower. */
    public function toHost(): Link
    {
        return $this->cable === null
            ? $this->asLink()
            : Link::slowest(
                $this->asLink(),
                new Link("cable {$this->cable->tag} {$this->cable->link->label()}", $this->cable->asLink()->ceiling),
            );
    }
}
