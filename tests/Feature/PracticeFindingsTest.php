<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Practice\Findings;
use PHPUnit\Framework\Attributes\DataProvider;
use Tally\Practice\Exercise;
use Tally\Practice\Level;
use Tally\Practice\Trick;
use Tests\TestCase;

/** What came of a move is told as it was seen, without saying what it means: that is the exercise. */
final class PracticeFindingsTest extends TestCase
{
    private function exercise(Level $level, Trick $trick): Exercise
    {
        $seed = 1;
        while ($level->trick($seed) !== $trick) {
            $seed++;
        }

        return Exercise::seeded($level, $seed);
    }

    /** @return iterable<string, array{Level, Trick, string, string}> level, trick, move, what is told */
    public static function told(): iterable
    {
        yield 'one row is seen' => [Level::Look, Trick::OneRow, 'inspect', '/^One row of contacts; it seats well\.$/'];
        yield 'two rows are seen' => [Level::Look, Trick::Fair, 'inspect', '/^Two rows of contacts; it seats well\.$/'];
        $open = '/came back as written\. The rest is open\./';
        yield 'a screen that met nothing leaves all open' => [Level::Size, Trick::Cheap, 'screen', $open];
        yield 'a fake drops what comes after' => [Level::Size, Trick::Drops, 'screen', '/holds; nothing after that was kept\./'];
        yield 'a fake starts over' => [Level::Size, Trick::StartsOver, 'whole', '/^The card starts over every /'];
        yield 'a fake spoils the rest' => [Level::Size, Trick::Spoils, 'whole', '/came back changed\./'];
        yield 'the first gigabytes of a fake are fine' => [Level::Size, Trick::Drops, 'part', '/^All of 8 GB came back as written\./'];
        yield 'errors are errors' => [Level::Faults, Trick::EndsInErrors, 'screen', '/from there on it answered with errors\./'];
        yield 'a bad spot is met by all of it' => [Level::Faults, Trick::BadSpots, 'whole', '/^[\d.]+ [kM]B did not come back as written/'];
        yield 'and by no screen' => [Level::Faults, Trick::BadSpots, 'screen', $open];
        yield 'a cache answers' => [Level::Cache, Trick::CacheAnswers, 'screen', $open];
        yield 'until the card was out' => [Level::Cache, Trick::CacheAnswers, 'screen-again', '/nothing after that was kept\./'];
        $lowest = '~^12 GB written; the lowest 4 seconds \d+(\.\d+)? MB/s\.$~';
        yield 'a long write tells its lowest window' => [Level::Pace, Trick::Cliff, 'long', $lowest];
    }

    #[DataProvider('told')]
    public function test_what_came_of_a_move_is_told(Level $level, Trick $trick, string $move, string $told): void
    {
        $exercise = $this->exercise($level, $trick);
        self::assertMatchesRegularExpression($told, Findings::of($exercise, $exercise->moves[$move]));
        foreach (['Sham', 'Shaky', 'Slow', 'Sound', 'fake'] as $judgement) {
            self::assertStringNotContainsString($judgement, Findings::of($exercise, $exercise->moves[$move]));
        }
    }

    public function test_a_measurement_tells_every_reading(): void
    {
        $exercise = $this->exercise(Level::Chain, Trick::SlowLink);
        $move = $exercise->moves["measure:{$exercise->first->name}"];
        $five = '(\d+\.\d, ){4}\d+\.\d';
        self::assertMatchesRegularExpression("~^Write {$five}; read {$five} MB/s\.$~", Findings::of($exercise, $move));
        // Nothing comes faster over a slow link than it carries in practice: 30 to 40 MB/s, common practice, no source.
        preg_match_all('/\d+\.\d/', Findings::of($exercise, $move), $rates);
        self::assertCount(10, $rates[0]);
        foreach (array_map(floatval(...), $rates[0]) as $rate) {
            self::assertTrue($rate > 29.0 && $rate <= 40.0, "{$rate} MB/s");
        }
    }

    public function test_what_takes_longer_takes_longer_on_the_clock(): void
    {
        for ($seed = 1; $seed <= 60; $seed++) {
            $moves = Exercise::seeded(Level::from(1 + $seed % 6), $seed)->moves;
            self::assertGreaterThan($moves['screen']->seconds, $moves['whole']->seconds);
            self::assertSame($moves['screen']->seconds + 15, $moves['screen-again']->seconds);
            self::assertGreaterThan($moves['inspect']->seconds, $moves['screen']->seconds);
            foreach ($moves as $move) {
                self::assertGreaterThan(0, $move->seconds);
                self::assertLessThan(6 * 3600, $move->seconds, "seed {$seed}, {$move->id}");
            }
        }
    }
}
