<?php

declare(strict_types=1);

namespace Tests\Intake;

use App\Intake\CardField;
use App\Intake\Import\ColumnMatch;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ColumnMatchTest extends TestCase
{
    /** @return iterable<string, array{string, string|null}> heading, field */
    public static function headings(): iterable
    {
        yield 'the exact name' => ['Capacity', 'capacity'];
        yield 'the key' => ['order_no', 'order_no'];
        yield 'capitals' => ['SERIAL NUMBER', 'serial'];
        yield 'marks of all kinds' => ['Serial No.:', 'serial'];
        yield 'a stroke' => ['S/N', 'serial'];
        yield 'size' => ['Size', 'capacity'];
        yield 'shop' => ['Shop', 'seller'];
        yield 'brand' => ['Brand', 'name'];
        yield 'rating' => ['×-rating', 'times'];
        yield 'a date' => ['Date', 'bought_on'];
        yield 'a lot by another name' => ['Batch', 'lot'];
        yield 'the line' => ['Label line', 'line'];
        yield 'a label without any rows' => ['Label', 'tag'];
        yield 'a word for the tag' => ['Card', 'tag'];
        yield 'a type of card is its form' => ['Card type', 'form'];
        yield 'something else' => ['Colour', null];
        yield 'nothing' => ['', null];
    }

    #[DataProvider('headings')]
    public function test_headings_are_understood(string $heading, ?string $field): void
    {
        self::assertSame($field, ColumnMatch::guess([$heading])->fields[0] ?? null);
    }

    public function test_every_field_is_found_under_its_own_heading(): void
    {
        $headings = array_map(fn (CardField $field): string => $field->heading(), CardField::cases());
        self::assertSame(
            array_map(fn (CardField $field): string => $field->value, CardField::cases()),
            array_values(ColumnMatch::guess($headings)->fields),
        );
    }

    public function test_no_word_means_two_fields(): void
    {
        $meanings = [];
        foreach (CardField::cases() as $field) {
            foreach ([mb_strtolower($field->heading()), ...$field->alsoCalled()] as $word) {
                $meanings[$word][$field->value] = true;
            }
        }
        self::assertSame([], array_keys(array_filter($meanings, fn (array $fields): bool => count($fields) > 1)));
    }

    /** @return iterable<string, array{list<string>, list<list<string>>, array<int, string>}> headings, rows, what is matched */
    public static function tables(): iterable
    {
        $lines = [['Osker 128GB SDXC UHS-II V60 280/150MB/s', 'A-1'], ['', 'A-2'], ['microSDHC 32 Go Classe 10', 'A-3']];
        yield 'Label over lines' => [['Label', 'Tag'], $lines, [0 => 'line', 1 => 'tag']];
        yield 'Label over codes' => [['Label', 'Capacity'], [['A-1', '128 GB'], ['A-2', '64 GB']], [0 => 'tag', 1 => 'capacity']];
        yield 'no heading that is known' => [['What it says', 'Code'], $lines, [0 => 'line', 1 => 'tag']];
        yield 'names that are whole lines' => [['Product', 'Code'], $lines, [0 => 'line', 1 => 'tag']];
        yield 'names beside a capacity stay names' => [
            ['Product', 'Capacity'],
            [['Osker 128GB SDXC', '128 GB']],
            [0 => 'name', 1 => 'capacity'],
        ];
        yield 'sizes alone are no lines' => [['How large', 'Code'], [['128 GB', 'A-1'], ['64 GB', 'A-2']], [1 => 'tag']];
        yield 'remarks are none' => [
            ['Remark', 'Code'],
            [['from the drawer', 'A-1'], ['Osker 128GB SDXC', 'A-2'], ['scratched', 'A-3']],
            [1 => 'tag'],
        ];
    }

    /**
     * @param  list<string>  $headings
     * @param  list<list<string>>  $rows
     * @param  array<int, string>  $matched
     */
    #[DataProvider('tables')]
    public function test_what_the_cells_hold_tells_what_the_heading_does_not(array $headings, array $rows, array $matched): void
    {
        self::assertEquals($matched, ColumnMatch::guess($headings, $rows)->fields);
    }

    public function test_every_heading_of_our_own_form_is_understood(): void
    {
        $forms =
            (string) file_get_contents(dirname(__DIR__, 2).'/resources/js/intake/LabelSheet.tsx').
            file_get_contents(dirname(__DIR__, 2).'/resources/js/intake/OriginSheet.tsx');
        self::assertGreaterThan(12, preg_match_all('/text\(\'(\w+)\'\)}\s+label="([^"]+)"/', $forms, $found, PREG_SET_ORDER));
        foreach ($found as [, $field, $label]) {
            // How many alike is no field of a card, and the line's own field is named by what it does.
            if ($field !== 'count') {
                self::assertSame($field === 'serials' ? 'serial' : $field, ColumnMatch::guess([$label])->fields[0] ?? null, $label);
            }
        }
        $others = ['Speed marks' => 'marks', 'Contact rows (turn it over)' => 'contact_rows', 'Source' => 'provenance'];
        foreach ($others as $label => $field) {
            self::assertStringContainsString($label, $forms);
            self::assertSame($field, ColumnMatch::guess([$label])->fields[0] ?? null);
        }
    }

    public function test_a_field_has_one_column(): void
    {
        $match = ColumnMatch::guess(['Tag', 'Code', 'Name']);
        self::assertSame([0 => 'tag', 2 => 'name'], $match->fields);
        self::assertTrue($match->has(CardField::Tag));
        self::assertFalse($match->has(CardField::Serial));
    }

    public function test_what_is_chosen_by_hand_is_taken_as_far_as_it_makes_sense(): void
    {
        $match = ColumnMatch::chosen(['capacity', 'capacity', 'colour', 7, 'line', 'name'], 5);
        self::assertSame([0 => 'capacity', 4 => 'line'], $match->fields);
    }
}
