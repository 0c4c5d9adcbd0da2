<?php

declare(strict_types=1);

namespace Tests\Intake;

use App\Intake\CardEntry;
use App\Intake\TagSeries;
use App\Rules\Day;
use InvalidArgumentException;
use PHPUnit\Framework\Attributes\DataProvider;
use Tally\Label\Bus;
use Tally\Label\Family;
use Tally\Label\Form;
use Tally\Label\Mark;
use Tally\Origin\Provenance;
use Tests\TestCase;

final class CardEntryTest extends TestCase
{
    /** @param  array<string, mixed>  $with */
    private static function read(array $with = []): CardEntry
    {
        return CardEntry::read(['tag' => 'QS-1', 'name' => 'Marrowick', 'form' => 'SD', 'capacity' => '128', ...$with], 'EUR');
    }

    /** @return iterable<string, array{array<string, mixed>, string, mixed}> typed, column, value */
    public static function typed(): iterable
    {
        yield 'a tag in small letters' => [['tag' => ' qs-7 '], 'tag', 'QS-7'];
        yield 'a bare capacity is in GB' => [[], 'capacity', 128_000_000_000];
        yield 'a form by its name' => [['form' => 'microSD'], 'form', Form::MicroSd];
        yield 'a form by its key' => [['form' => 'cfexpress-b'], 'form', Form::CFexpressB];
        yield 'a form with odd spaces' => [['form' => 'cf express b'], 'form', Form::CFexpressB];
        yield 'a form in full' => [['form' => 'CompactFlash'], 'form', Form::Cf];
        yield 'a family' => [['family' => 'sdxc'], 'family', Family::Sdxc];
        yield 'a family with its form' => [['family' => 'microSDXC'], 'family', Family::Sdxc];
        yield 'a bus by its name' => [['bus' => 'UHS-II'], 'bus', Bus::UhsII];
        yield 'a bus without the hyphen' => [['bus' => 'uhs ii'], 'bus', Bus::UhsII];
        yield 'a bus whose name several forms share' => [['form' => 'CFexpress B', 'bus' => 'CFexpress 2.0'], 'bus', Bus::CFexpress2B];
        yield 'and of another' => [['form' => 'CFexpress A', 'bus' => 'CFexpress 2.0'], 'bus', Bus::CFexpress2A];
        yield 'marks as a list' => [['marks' => ['U3', 'V60']], 'marks', [Mark::U3, Mark::V60]];
        yield 'marks as words' => [['marks' => 'u3 v60'], 'marks', [Mark::U3, Mark::V60]];
        yield 'marks with commas' => [['marks' => 'C10, U3;V30'], 'marks', [Mark::C10, Mark::U3, Mark::V30]];
        yield 'no marks' => [['marks' => ''], 'marks', []];
        yield 'a speed in bits' => [['read' => '760 Mb/s'], 'read', 95e6];
        yield 'a rating' => [['times' => '1066×'], 'times', 1066.0];
        yield 'a rating without its x' => [['times' => '633,5'], 'times', 633.5];
        yield 'rows' => [['contact_rows' => 2], 'contact_rows', 2];
        yield 'a price with its currency' => [['price' => '9.90 GBP'], 'price', 990];
        yield 'a price beside its currency' => [['price' => '9.90', 'currency' => 'gbp'], 'currency', 'GBP'];
        yield 'a price in the house’s own' => [['price' => '9,90'], 'currency', 'EUR'];
        yield 'no price, no currency' => [['currency' => 'GBP'], 'currency', null];
        yield 'a day' => [['bought_on' => '14.10.2026'], 'bought_on', '2026-10-14'];
        yield 'a provenance' => [['provenance' => 'Marketplace'], 'provenance', Provenance::Marketplace];
        yield 'nothing where nothing was typed' => [[], 'serial', null];
        yield 'footage of nothing' => [[], 'footage', 0];
    }

    /** @param  array<string, mixed>  $with */
    #[DataProvider('typed')]
    public function test_fields_are_read_as_people_fill_them(array $with, string $column, mixed $value): void
    {
        $entry = self::read($with);
        self::assertSame([], $entry->errors);
        self::assertSame($value, $entry->columns[$column]);
    }

    public function test_every_mistake_of_a_row_is_said_at_once(): void
    {
        $entry = self::read([
            'tag' => '',
            'capacity' => 'big',
            'read' => 'fast',
            'marks' => 'V61',
            'price' => 'cheap',
            'bought_on' => 'lately',
        ]);
        self::assertSame(['tag', 'capacity', 'marks.0', 'read', 'price', 'bought_on'], array_keys($entry->errors));
        self::assertFalse($entry->isGood());
    }

    public function test_text_that_is_no_text_is_refused(): void
    {
        self::assertStringContainsString('not readable text', self::read(['name' => "\xB1\x31"])->errors['name'] ?? '');
        self::assertStringContainsString('Text was expected', self::read(['name' => ['x']])->errors['name'] ?? '');
        self::assertStringContainsString('not sent as a list', self::read(['marks' => 7])->errors['marks'] ?? '');
    }

    /** @return iterable<string, array{string, string|null}> */
    public static function days(): iterable
    {
        yield 'ISO 8601' => ['2026-11-25', '2026-11-25'];
        yield 'without zeros' => ['2026-1-5', '2026-01-05'];
        yield 'dotted' => ['25.11.2026', '2026-11-25'];
        yield 'in words' => ['25 Nov 2026', '2026-11-25'];
        yield 'in full words' => ['25 November 2026', '2026-11-25'];
        yield 'slashes that can only be a day first' => ['25/11/2026', '2026-11-25'];
        yield 'slashes that can only be a month first' => ['11/25/2026', '2026-11-25'];
        yield 'slashes that are the same both ways' => ['03/03/2026', '2026-03-03'];
        yield 'slashes that could be two days' => ['03/04/2026', null];
        yield 'a day that is not' => ['2026-02-30', null];
        yield 'a day of another age' => ['1900-01-01', null];
        yield 'a word' => ['yesterday', null];
        yield 'a time behind it' => ['2026-11-25 10:00:00', '2026-11-25'];
    }

    #[DataProvider('days')]
    public function test_days_are_not_guessed(string $typed, ?string $day): void
    {
        self::assertSame($day, Day::read($typed)?->format('Y-m-d'));
    }

    /** @return iterable<string, array{string, string, list<string>}> */
    public static function series(): iterable
    {
        yield 'one' => ['QS-041', '', ['QS-041']];
        yield 'one, said' => ['SPARE', '1', ['SPARE']];
        yield 'three' => ['QS-098', '3', ['QS-098', 'QS-099', 'QS-100']];
        yield 'zeros are kept' => ['A-007', '2', ['A-007', 'A-008']];
        yield 'digits alone' => ['9', '3', ['9', '10', '11']];
    }

    /** @param  list<string>  $tags */
    #[DataProvider('series')]
    public function test_a_series_of_tags_counts_up(string $first, string $count, array $tags): void
    {
        self::assertSame($tags, TagSeries::of($first, $count));
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function noSeries(): iterable
    {
        yield 'no number to count from' => ['SPARE', '2', 'ends in no number'];
        yield 'half of one' => ['QS-1', '1.5', 'whole number'];
        yield 'none' => ['QS-1', '0', 'whole number'];
        yield 'a word' => ['QS-1', 'some', 'How many was “some”'];
        yield 'too many' => ['QS-1', '201', 'from 1 to 200'];
        yield 'too long at its end' => ['QS-SURVEY-NORTH-0-99', '2', 'longer than 20'];
    }

    #[DataProvider('noSeries')]
    public function test_a_series_that_cannot_be_gets_a_sentence(string $first, string $count, string $words): void
    {
        $this->expectException(InvalidArgumentException::class);
        $this->expectExceptionMessage($words);
        TagSeries::of($first, $count);
    }
}
