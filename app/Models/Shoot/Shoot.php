<?php

declare(strict_types=1);

namespace App\Models\Shoot;

use App\Models\Row;
use App\Models\WritesBookLines;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Tally\Shoot\FitFile;
use Tally\Shoot\Whole\Packing;

/**
 * A whole shoot that was kept: what was wanted, and which cards went along.
 *
 * @property int $id
 * @property string $name
 * @property Carbon $begins
 * @property int $days
 * @property array<string, mixed> $question a fit file with its cameras, without cards
 * @property string $recorded_by
 * @property Carbon $created_at
 * @property-read Collection<int, ShootCard> $cards
 */
final class Shoot extends Row
{
    use WritesBookLines;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['begins' => 'date', 'days' => 'int', 'question' => 'array', 'created_at' => 'datetime'];

    /** @return HasMany<ShootCard, $this> */
    public function cards(): HasMany
    {
        return $this->hasMany(ShootCard::class)->orderBy('place')->orderBy('turn');
    }

    /** As it was decided. */
    public function packing(): Packing
    {
        $question = FitFile::read($this->question)->question();
        assert($question !== null);
        $cards = array_map(fn (): array => [], $places = $question->places());
        foreach ($this->cards as $card) {
            $cards[$card->place][] = $card->packed->packed($places[$card->place]->count);
        }

        return Packing::kept($question, $cards);
    }

    public function ends(): Carbon
    {
        return $this->begins->copy()->addDays($this->days - 1);
    }
}
