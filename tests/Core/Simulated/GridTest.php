<?php

declare(strict_types=1);

namespace Tests\Core\Simulated;

use PHPUnit\Framework\TestCase;
use Tools\MadeUp\Grid;
use Tools\MadeUp\GridScore;

/** Whole speed runs on made-up cards in made-up readers. `php artisan bench:readings` prints the table for two hundred. */
final class GridTest extends TestCase
{
    public function test_limits_and_twins_are_told_right(): void
    {
        $score = new GridScore();
        for ($seed = 1001; $seed <= 1050; $seed++) {
            $score->add(Grid::seeded($seed));
        }
        self::assertGreaterThan(400, $score->right);
        self::assertGreaterThanOrEqual(0.95, $score->right / ($score->right + $score->wrong));
        self::assertLessThan($score->right, $score->undecided);
        self::assertGreaterThan(5, $score->twins);
        self::assertGreaterThanOrEqual(0.9, $score->found / $score->twins);
        self::assertLessThanOrEqual(0.05, $score->false / max(1, $score->pairs));
    }

    public function test_the_same_seed_gives_the_same_grid(): void
    {
        self::assertEquals(Grid::seeded(7)->candidates(), Grid::seeded(7)->candidates());
        self::assertNotEquals(Grid::seeded(7)->candidates(), Grid::seeded(8)->candidates());
    }
}
