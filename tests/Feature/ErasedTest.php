<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Erasing\Ledger;
use App\Models\Runs\Erasure;
use App\Pages\House\ErasedPage;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia;
use PDOException;
use Tally\Device\Identity;
use Tally\Value\Values;
use Tests\Support\TemporaryFolder;
use Tests\TestCase;

final class ErasedTest extends TestCase
{
    use TemporaryFolder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->app->useStoragePath($this->folder());
        mkdir(storage_path('app'));
    }

    public function test_every_line_of_the_house_is_shown_with_its_card_the_newest_first(): void
    {
        $this->get('/erased')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->component('Erased', false)->has('lines', 0)->where('count', 0),
        );
        $this->travelTo('2026-11-20 08:15');
        Ledger::enter('full proof', '/dev/sdx', self::medium('/dev/sdx', 32_000_000_000), 'Wren', card: $this->card(), why: 'a sample');
        $this->travelTo('2026-11-21 09:00');
        Ledger::enter('quick screen', '/srv/image', self::medium('/srv/image', 5), 'Moss');
        $this->get('/erased')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('count', 2)
                ->where('older', null)
                ->where('isNewest', true)
                ->where('lines.0.what', 'quick screen')
                ->where('lines.0.tag', null)
                ->where('lines.1.tag', 'T-1')
                ->where('lines.1.size', '32 GB')
                ->where('lines.1.person', 'Wren')
                ->where('lines.1.on', '20 Nov 2026, 08:15 UTC')
                ->where('lines.1.why', 'a sample')
                ->where('lines.1.station', 'Bench A'),
        );
    }

    private static function medium(string $real, int $bytes): Identity
    {
        return Values::read(Identity::class, ['kind' => 'a device', 'real' => $real, 'numbers' => '8:16', 'bytes' => $bytes]);
    }

    public function test_a_long_ledger_is_turned_page_by_page_and_no_line_is_left_out(): void
    {
        for ($i = 0; $i < ErasedPage::AT_ONCE + 7; $i++) {
            // Not in the order of time, as when lines come in from a file.
            Erasure::query()->create([
                'what' => "line {$i}",
                'path' => '/dev/x',
                'bytes' => 1,
                'person' => 'Wren',
                'station' => 'Bench A',
                'erased_at' => '2026-11-'.(1 + (($i * 11) % 25)).' 10:00:00',
            ]);
        }
        $seen = [];
        $this->travelBack();
        for ($before = null, $turns = 0; $turns < 3 && ($turns === 0 || $before !== null); $turns++) {
            $lines = ErasedPage::of(null, $before);
            $seen = [...$seen, ...array_map(fn ($line): int => $line['id'], $lines)];
            $before = count($lines) === ErasedPage::AT_ONCE ? $lines[count($lines) - 1]['id'] : null;
        }
        self::assertCount(ErasedPage::AT_ONCE + 7, array_unique($seen));
        self::assertCount(ErasedPage::AT_ONCE + 7, $seen);
        $this->get('/erased?before=nonsense')->assertOk();
        $this->get("/erased?before={$seen[200]}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->has('lines', 6)->where('isNewest', false),
        );
    }

    public function test_lines_of_a_file_come_in_whole_or_not_at_all(): void
    {
        $line = fn (string $path, ?int $card = null): string => json_encode(
            [
                'card_id' => $card,
                'what' => 'full proof',
                'path' => $path,
                'bytes' => 5,
                'person' => 'Wren',
                'station' => 'Bench A',
                'erased_at' => '2026-11-01 10:00:00',
            ],
            JSON_THROW_ON_ERROR,
        )."\n";
        // The second does not fit into the books.
        file_put_contents(Ledger::file(), $line('/dev/a').$line(str_repeat('x', 900)));
        try {
            Ledger::takeOver();
            self::fail('A line that does not fit was taken over.');
        } catch (PDOException) {
            self::assertSame([0, 2], [Erasure::query()->count(), substr_count((string) file_get_contents(Ledger::file()), "\n")]);
        }
        // The second is about a card that these books do not have.
        file_put_contents(Ledger::file(), $line('/dev/a').$line('/dev/b', 999_999));
        $this->get('/erased')->assertInertia(fn (AssertableInertia $page): AssertableInertia => $page->where('count', 2));
        Ledger::takeOver();
        self::assertSame([2, ''], [Erasure::query()->count(), file_get_contents(Ledger::file())]);
        self::assertStringContainsString(DB::connection()->getDatabaseName(), Ledger::file());
    }
}
