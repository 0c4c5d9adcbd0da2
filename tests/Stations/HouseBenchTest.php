<?php

declare(strict_types=1);

namespace Tests\Stations;

use Symfony\Component\Process\Process;
use Tests\TestCase;

/** The bench of a house that has lived for years, on a database of its own: every page answers, and its questions stay as few. */
final class HouseBenchTest extends TestCase
{
    /** @return array<string, int> page → questions to the books */
    private function queries(int $cards, int $runs): array
    {
        $bench = new Process(['php', 'artisan', 'bench:house', "--cards={$cards}", "--runs={$runs}"], base_path(), timeout: 120);
        $bench->run();
        self::assertSame(0, $bench->getExitCode(), $bench->getOutput().$bench->getErrorOutput());
        preg_match_all('#^\| (/\S+) +\| +\d+ ms +\| (\d+) +\|$#m', $bench->getOutput(), $rows);

        return array_combine($rows[1], array_map(intval(...), $rows[2]));
    }

    public function test_every_page_answers_and_asks_no_more_of_many_cards_than_of_few(): void
    {
        $few = $this->queries(12, 40);
        self::assertGreaterThan(20, count($few));
        foreach (['/ledger/H-00007', '/ledger/buy', '/ledger/sellers', '/activity', '/rules', '/handbook'] as $page) {
            self::assertArrayHasKey($page, $few);
        }
        $many = $this->queries(36, 120);
        foreach ($many as $page => $queries) {
            self::assertLessThanOrEqual($few[$page] + 3, $queries, $page);
        }
    }
}
