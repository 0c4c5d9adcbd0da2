<?php

declare(strict_types=1);

namespace Tests\Core\StandIn;

use PHPUnit\Framework\TestCase;
use Tally\Reading\Compare\TwinGroups;
use Tally\Reading\Compare\Twins;
use Tally\Reading\Limit\LimitedBy;
use Tally\StandIn\Grid;

/** Whole speed runs on made-up cards in made-up readers. `php artisan bench:readings` prints the table for two hundred. */
final class GridTest extends TestCase
{
    public function test_limits_and_twins_are_told_right(): void
    {
        [$right, $wrong, $undecided, $pairs, $false, $twins, $found] = [0, 0, 0, 0, 0, 0, 0];
        for ($seed = 1001; $seed <= 1050; $seed++) {
            $grid = Grid::seeded($seed);
            foreach (['write', 'read'] as $way) {
                foreach ($grid->limits($way)->rulings as $ruling) {
                    $truth = $grid->truth($ruling->cell->card, $ruling->cell->reader, $way);
                    $undecided += $ruling->by === LimitedBy::Undecided ? 1 : 0;
                    $right += $ruling->by !== LimitedBy::Undecided && $ruling->by === $truth ? 1 : 0;
                    $wrong += $ruling->by !== LimitedBy::Undecided && $ruling->by !== $truth ? 1 : 0;
                }
            }
            $candidates = $grid->candidates();
            foreach ($candidates as $i => $one) {
                foreach (array_slice($candidates, $i + 1) as $other) {
                    $isFound = TwinGroups::arePair($one, $other);
                    $isTrue =
                        $one->chain === $other->chain &&
                        ! $one->isHeldBack &&
                        ! $other->isHeldBack &&
                        $grid->areTwins($one->card, $other->card);
                    $pairs += $isFound ? 1 : 0;
                    $false += $isFound && $grid->areApart($one->card, $other->card, Twins::MARGIN) ? 1 : 0;
                    $twins += $isTrue ? 1 : 0;
                    $found += $isTrue && $isFound ? 1 : 0;
                }
            }
        }
        self::assertGreaterThan(400, $right);
        self::assertGreaterThanOrEqual(0.95, $right / ($right + $wrong));
        self::assertLessThan($right, $undecided);
        self::assertGreaterThan(5, $twins);
        self::assertGreaterThanOrEqual(0.9, $found / $twins);
        self::assertLessThanOrEqual(0.05, $false / max(1, $pairs));
    }

    public function test_the_same_seed_gives_the_same_grid(): void
    {
        self::assertEquals(Grid::seeded(7)->candidates(), Grid::seeded(7)->candidates());
        self::assertNotEquals(Grid::seeded(7)->candidates(), Grid::seeded(8)->candidates());
    }
}
