<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Evidence\HouseKnowledge;
use App\Evidence\SistersAtOnce;
use App\Models\Cards\Card;
use Tally\Verdict\VerdictKind;
use Tests\TestCase;

/** Asked for at once, the sisters of many cards are those that each would find alone. */
final class SistersTest extends TestCase
{
    public function test_many_find_the_same_as_each_alone(): void
    {
        $codes = [
            ['serial' => 'A 1', 'lot' => 'spring'],
            ['serial' => 'a-1', 'lot' => 'Spring'],
            ['serial' => 'A1', 'back_code' => 'X9', 'lot' => 'SPRING'],
            ['serial' => 'B2', 'back_code' => 'x-9'],
            ['lot' => 'autumn'],
            ['lot' => 'autumn'],
            [],
            // Letters that the database takes for the same.
            ['serial' => 'É7', 'lot' => 'été'],
            ['serial' => 'E7', 'lot' => 'ete'],
        ];
        foreach ($codes as $i => $code) {
            $this->card([...$code, 'tag' => "S-{$i}"]);
        }
        Card::query()
            ->whereIn('tag', ['S-1', 'S-4', 'S-7'])
            ->update(['verdict' => VerdictKind::Sham]);
        Card::query()
            ->where('tag', 'S-4')
            ->update(['overruled' => VerdictKind::Sound]);
        $cards = Card::query()->orderBy('id')->get()->toBase();
        $atOnce = new SistersAtOnce($cards);
        foreach ($cards as $card) {
            self::assertEquals(HouseKnowledge::sisters($card), $atOnce->of($card), $card->tag);
        }
        self::assertSame(['S-0', 'S-2'], $atOnce->of($cards[1] ?? self::fail('no card'))->sameSerial);
    }

    public function test_it_takes_three_questions_however_many_there_are(): void
    {
        for ($i = 0; $i < 20; $i++) {
            $this->card(['tag' => "S-{$i}", 'serial' => 'A'.intdiv($i, 2), 'back_code' => "B{$i}", 'lot' => 'one']);
        }
        $cards = Card::query()->get()->toBase();
        $this->expectsDatabaseQueryCount(3);
        $atOnce = new SistersAtOnce($cards);
        foreach ($cards as $card) {
            $atOnce->of($card);
        }
    }
}
