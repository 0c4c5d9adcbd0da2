<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Books\Book;
use App\Books\BookRows;
use App\Books\Pick;
use App\Ledger\IncidentBook;
use App\Models\Cards\Card;
use App\Models\HouseRule;
use App\Models\Kit\CameraMode;
use App\Models\Kit\Drive;
use App\Models\Kit\Reader;
use App\Models\Runs\Run;
use Database\Seeders\DemoCards;
use Database\Seeders\DemoInspections;
use Database\Seeders\DemoModes;
use Database\Seeders\DemoRuns;
use Illuminate\Support\Facades\Date;
use Tally\Verdict\VerdictKind;
use Tests\TestCase;

/** What stands in a row that goes out is what stands in the books: book by book, against the models. */
final class BookRowsTest extends TestCase
{
    private function house(): void
    {
        $this->seed([DemoCards::class, DemoRuns::class, DemoInspections::class, DemoModes::class]);
    }

    /** @return list<array<string, int|float|string|bool|null>> */
    private static function rows(Book $book, ?Pick $pick = null): array
    {
        $rows = [];
        foreach (BookRows::of($book, $pick ?? Pick::all()) as $row) {
            self::assertSame($book->columns(), array_keys($row));
            $rows[] = $row;
        }

        return $rows;
    }

    /**
     * @param  list<array<string, int|float|string|bool|null>>  $rows
     * @return array<string, int|float|string|bool|null>
     */
    private static function row(array $rows, string $column, int|string $value): array
    {
        foreach ($rows as $row) {
            if ($row[$column] === $value) {
                return $row;
            }
        }
        self::fail("no row has {$value} as {$column}");
    }

    public function test_a_card(): void
    {
        $this->house();
        $card = Card::query()->where('tag', 'QS-014')->firstOrFail();
        $card->forceFill(['price' => 3450, 'currency' => 'EUR', 'overruled' => VerdictKind::Sound])->save();
        $row = self::row(self::rows(Book::Cards), 'tag', 'QS-014');
        self::assertSame($card->capacity->count, $row['capacity']);
        self::assertEqualsWithDelta($card->label()->read->bytesPerSecond ?? 0.0, $row['read'], 1e-6);
        self::assertSame([$card->verdict->value, 'Sound', '34.50', 'EUR'], [
            $row['verdict'], $row['overruled'], $row['price'], $row['currency'],
        ]);
        self::assertSame($card->line, $row['label']);
        $marks = array_map(fn ($mark): string => $mark->value, $card->label()->marks);
        self::assertSame(implode(' ', $marks), $row['marks']);
    }

    public function test_runs_of_every_kind(): void
    {
        $this->house();
        $rows = self::rows(Book::Runs);
        self::assertCount(Run::query()->count(), $rows);
        foreach (Run::query()->with(['card', 'void'])->get() as $run) {
            $row = self::row($rows, 'run', $run->id);
            self::assertSame([$run->card->tag, $run->kind->value, $run->void?->reason], [$row['card'], $row['kind'], $row['void']]);
            $proof = $run->proof();
            if ($proof !== null) {
                self::assertSame([$proof->read->bytes->count, $proof->bad()->count], [$row['read_back'], $row['wrong']]);
                self::assertSame($proof->diagnosis->condition->value, $row['condition']);
            }
            $long = $run->sustained();
            if ($long !== null) {
                self::assertEquals($long->course->floor?->bytesPerSecond, $row['lowest']);
            }
        }
    }

    public function test_inspections_bursts_and_incidents_name_their_cards_and_gear(): void
    {
        $this->house();
        IncidentBook::log('QS-014 stuck in R3, came out', 'Wren', Date::now());
        $incident = self::rows(Book::Incidents)[0] ?? [];
        self::assertSame(['QS-014', 'R3', 'Wren'], [$incident['card'] ?? '', $incident['reader'] ?? '', $incident['by'] ?? '']);
        $inspections = self::rows(Book::Inspections);
        self::assertNotSame([], $inspections);
        foreach ($inspections as $row) {
            self::assertTrue(Card::query()->where('tag', $row['card'])->exists());
            self::assertIsString($row['answer']);
        }
        self::assertNotSame([], self::rows(Book::Bursts));
        foreach (self::rows(Book::Bursts) as $row) {
            self::assertGreaterThan(0, $row['frames']);
            self::assertGreaterThan(0.0, $row['frames_per_second']);
        }
    }

    public function test_kit_and_rules(): void
    {
        (new DemoModes())->modes();
        self::assertSame(Reader::query()->orderBy('id')->pluck('tag')->all(), array_column(self::rows(Book::Readers), 'tag'));
        foreach (self::rows(Book::Readers) as $row) {
            self::assertIsBool($row['is_camera']);
        }
        $drive = Drive::query()->orderBy('id')->firstOrFail();
        self::assertEqualsWithDelta($drive->write->bytesPerSecond, self::row(self::rows(Book::Drives), 'tag', $drive->tag)['write'], 1e-6);
        self::assertCount(CameraMode::query()->count(), self::rows(Book::Modes));
        self::assertNotSame([], self::rows(Book::Hosts));
        HouseRule::keep(['ledger.fills' => '60'], ['ledger.fills' => '50'], 'Wren', 'they last');
        self::assertSame(
            [['ledger.fills', '60', 'Wren', 'they last']],
            array_map(fn (array $row): array => [$row['name'], $row['value'], $row['by'], $row['why']], self::rows(Book::Rules)),
        );
    }

    public function test_days_take_what_happened_on_them_and_leave_what_happened_on_none(): void
    {
        $this->card(['tag' => 'QS-014']);
        IncidentBook::log('QS-014 wet', 'Wren', Date::parse('2026-03-05 10:00'));
        IncidentBook::log('QS-014 hot', 'Wren', Date::parse('2026-03-09 23:30'));
        $of = fn (string $from, string $to): int => count(
            self::rows(Book::Incidents, new Pick([Book::Incidents], null, null, Date::parse($from), to: Date::parse($to))),
        );
        self::assertSame(2, $of('2026-03-05', '2026-03-09'));
        self::assertSame(1, $of('2026-03-06', '2026-03-09'));
        self::assertSame(0, $of('2026-03-06', '2026-03-08'));
        // A reader is of no day.
        $pick = new Pick([Book::Readers], null, null, Date::parse('2001-01-01'), to: Date::parse('2001-01-02'));
        self::assertCount(Reader::query()->count(), self::rows(Book::Readers, $pick));
    }

    public function test_a_verdict_is_what_a_person_said_where_one_did(): void
    {
        $card = $this->card();
        $card->forceFill(['verdict' => VerdictKind::Sound, 'overruled' => VerdictKind::Sham])->save();
        $of = fn (VerdictKind $kind): array => array_column(self::rows(Book::Cards, new Pick([Book::Cards], verdict: $kind)), 'tag');
        self::assertContains($card->tag, $of(VerdictKind::Sham));
        self::assertNotContains($card->tag, $of(VerdictKind::Sound));
    }
}
