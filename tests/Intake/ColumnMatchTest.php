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
        self::assertSame(array_map(fn (CardField $field): string => $field->value, CardField::cases()), array_values(ColumnMatch::guess($headings)->fields));
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
