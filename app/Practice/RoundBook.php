<?php

declare(strict_types=1);

namespace App\Practice;

use App\Models\Practice\PracticeRound;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Random\Randomizer;
use Tally\Practice\Call;
use Tally\Practice\Level;
use Tally\Practice\NextExercise;

/** Rounds of practice, as they are begun, gone on with and called. */
final readonly class RoundBook
{
    /** Of so many rounds back it is told which kinds are weak. */
    private const RECENT = 60;

    /** @param  int|null  $seed  of a shared set; null for whatever is needed most */
    public static function begin(string $person, Level $level, ?int $seed): PracticeRound
    {
        $seed ??= self::next($person, $level);

        return PracticeRound::query()->create([
            'person' => $person,
            'level' => $level,
            'seed' => $seed,
            'trick' => $level->trick($seed),
            'moves' => [],
            'began_at' => now(),
        ]);
    }

    private static function next(string $person, Level $level): int
    {
        $called = self::called($person);
        $rounds = [];
        foreach ($called->take(self::RECENT) as $round) {
            [$all, $wrong] = $rounds[$round->trick->value] ?? [0, 0];
            $rounds[$round->trick->value] = [$all + 1, $wrong + ($round->isRight() ? 0 : 1)];
        }
        $last = PracticeRound::query()->where('person', $person)->where('level', $level)->latest('id')->first();

        return NextExercise::seed($level, $rounds, $last?->trick, new Randomizer());
    }

    /** @return Collection<int, PracticeRound> the newest first */
    public static function called(string $person): Collection
    {
        return PracticeRound::query()->where('person', $person)->whereNotNull('called_at')->latest('id')->limit(400)->get();
    }

    /** @throws NotAMove where it cannot be done */
    public static function move(PracticeRound $round, string $move): void
    {
        DB::transaction(function () use ($round, $move): void {
            $round = PracticeRound::query()->lockForUpdate()->findOrFail($round->id);
            if ($round->called_at !== null) {
                throw new NotAMove('This round was called already: nothing more is done with the card. Begin another one.');
            }
            $known = $round->exercise()->moves;
            if (! isset($known[$move])) {
                $would = implode(', ', array_keys($known));
                throw new NotAMove("“{$move}” is nothing that can be done here. One of these would do: {$would}.");
            }
            if (in_array($move, $round->moves, true)) {
                throw new NotAMove("“{$known[$move]->words()}” was done already in this round. Do something else, or call it.");
            }
            $round->update(['moves' => [...$round->moves, $move]]);
        });
    }

    /** @throws NotAMove where it was called before */
    public static function call(PracticeRound $round, Call $call): void
    {
        DB::transaction(function () use ($round, $call): void {
            $round = PracticeRound::query()->lockForUpdate()->findOrFail($round->id);
            if ($round->called_at !== null) {
                throw new NotAMove('This round was called already. Begin another one.');
            }
            $mistakes = $call->mistakes($round->exercise()->answer()->called);
            $round->update([
                'verdict' => $call->verdict,
                'holds' => $call->holds,
                'capacity' => $call->capacity?->count,
                'mistakes' => array_column($mistakes, 'value'),
                'called_at' => now(),
            ]);
        });
    }
}
