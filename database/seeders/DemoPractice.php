<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Practice\PracticeRound;
use App\Practice\RoundBook;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\Date;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tally\Practice\Call;
use Tally\Practice\Holds;
use Tally\Practice\Level;
use Tally\Practice\Move;
use Tally\Verdict\VerdictKind;

/** Two of the survey practise: they blame the card at first, and less and less. All of it is invented. */
final class DemoPractice extends Seeder
{
    private const ROUNDS = 12;

    public function run(): void
    {
        $chance = new Randomizer(new Mt19937(11));
        foreach (['Wren', 'Moss'] as $person) {
            for ($at = 0; $at < self::ROUNDS; $at++) {
                $level = Level::from(1 + intdiv($at, 5) % 6);
                $round = RoundBook::begin($person, $level, $chance->getInt(1, 9999));
                $answer = $round->exercise()->answer();
                $round->update([
                    'moves' => array_map(fn (Move $move): string => $move->id, $answer->way),
                    'began_at' => Date::now()->subDays(self::ROUNDS - $at),
                ]);
                $isWrong = $chance->getInt(0, self::ROUNDS) > $at + 6;
                $call = new Call(
                    $isWrong && $at % 3 === 0 ? VerdictKind::Sound : $answer->called->verdict->kind,
                    $isWrong && $at % 3 !== 0 ? Holds::Card : $answer->called->holds ?? Holds::Card,
                    $answer->called->capacity,
                );
                RoundBook::call($round, $call);
            }
        }
        // One that is waiting to be called.
        $open = RoundBook::begin('Wren', Level::Cache, 3);
        PracticeRound::query()->whereKey($open->id)->update(['moves' => json_encode(['inspect', 'screen'])]);
    }
}
