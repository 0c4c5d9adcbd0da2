<?php

declare(strict_types=1);

namespace App\Models\Practice;

use App\Models\Row;
use Illuminate\Support\Carbon;
use Tally\Practice\Call;
use Tally\Practice\Exercise;
use Tally\Practice\Holds;
use Tally\Practice\Level;
use Tally\Practice\Mistake;
use Tally\Practice\Move;
use Tally\Practice\Trick;
use Tally\Quantity\Bytes;
use Tally\Verdict\VerdictKind;

/**
 * A made-up card that somebody practised with. It is none of the house’s, and stands in no book of it.
 *
 * @property int $id
 * @property string $person
 * @property Level $level
 * @property int $seed
 * @property Trick $trick
 * @property list<string> $moves what was done, in order
 * @property VerdictKind|null $verdict as it was called
 * @property Holds|null $holds
 * @property int|null $capacity
 * @property list<string>|null $mistakes null until it was called
 * @property Carbon $began_at
 * @property Carbon|null $called_at
 */
final class PracticeRound extends Row
{
    private static ?Exercise $last = null;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'level' => Level::class,
        'trick' => Trick::class,
        'moves' => 'array',
        'verdict' => VerdictKind::class,
        'holds' => Holds::class,
        'mistakes' => 'array',
        'began_at' => 'datetime',
        'called_at' => 'datetime',
    ];

    /** The one of a moment ago is not made again: what was found out about it is known to it. */
    public function exercise(): Exercise
    {
        return self::$last?->level === $this->level && self::$last->seed === $this->seed
            ? self::$last
            : (self::$last = Exercise::seeded($this->level, $this->seed));
    }

    /** @return list<Move> of a round of before, those that this exercise still knows */
    public function done(Exercise $exercise): array
    {
        $moves = array_map(fn (string $id): ?Move => $exercise->moves[$id] ?? null, $this->moves);

        return array_values(array_filter($moves, fn (?Move $move): bool => $move !== null));
    }

    public function call(): ?Call
    {
        return $this->verdict === null || $this->holds === null
            ? null
            : new Call($this->verdict, $this->holds, $this->capacity === null ? null : Bytes::of($this->capacity));
    }

    public function isRight(): bool
    {
        return $this->mistakes === [];
    }

    /** @return list<Mistake> */
    public function mistaken(): array
    {
        return array_map(Mistake::from(...), $this->mistakes ?? []);
    }
}
