<?php

declare(strict_types=1);

namespace Tests\Core\Label;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Label\Line\LabelReader;
use Tally\Label\Line\LabelReading;
use Tally\Label\Mark;
use Tally\Quantity\Rate;

/** Label lines with invented makers and real standards; whatever is not listed for a line must be empty. */
final class LabelReaderTest extends TestCase
{
    private const FORMS = '/^(?:sd|microsd|cf|cfast|xqd|ssd|cfexpress-[abc])$/';

    /** @return iterable<string, array{string, string}> line, what is printed on it; its key says why */
    public static function lines(): iterable
    {
        /** @var array<string, array<string>> $all */
        $all = require __DIR__.'/lines.php';
        foreach ($all as $why => $lines) {
            foreach ($lines as $line => $printed) {
                yield "{$line} · {$why}" => [(string) $line, $printed];
            }
        }
    }

    #[DataProvider('lines')]
    public function test_a_line_is_read_with_no_wrong_field(string $line, string $printed): void
    {
        $fields = self::fields(LabelReader::read($line));
        if (! str_contains($printed, '?')) {
            $fields['unknown'] = '';
        }
        self::assertEquals(self::expected($printed), $fields);
    }

    /** @return array<string, mixed> of what is printed, as lines.php says it */
    private static function expected(string $printed): array
    {
        [$words, $unknown] = [...explode(' ? ', $printed, 2), ''];
        $empty = array_fill_keys(['form', 'capacity', 'family', 'bus', 'read', 'write', 'sustained', 'times'], null);
        $is = [...$empty, 'marks' => '', 'unknown' => str_starts_with($printed, '? ') ? substr($printed, 2) : $unknown];
        $letters = ['r' => 'read', 'w' => 'write', 's' => 'sustained', 'x' => 'times'];
        foreach (str_starts_with($printed, '? ') ? [] : array_diff(explode(' ', $words), ['']) as $word) {
            [$field, $value] = match (true) {
                preg_match(self::FORMS, $word) === 1 => ['form', $word],
                preg_match('/^[\d.]+GB$/', $word) === 1 => ['capacity', (float) $word],
                preg_match('/^SD(?:HC|XC|UC)?$/', $word) === 1 => ['family', $word],
                preg_match('/^[rwsx][\d.]+$/', $word) === 1 => [$letters[$word[0]], (float) substr($word, 1)],
                preg_match('/^(?:[CUVEA]|VPG)\d/', $word) === 1 => ['marks', str_replace('+', ' ', $word)],
                default => ['bus', $word],
            };
            $is[$field] = $value;
        }

        return $is;
    }

    public function test_enough_lines_are_tried(): void
    {
        self::assertGreaterThanOrEqual(250, count(iterator_to_array(self::lines())));
    }

    public function test_each_field_says_what_it_was_read_from(): void
    {
        $reading = LabelReader::read('128GB SDXC II U3 V60 250MB/s');
        self::assertSame(
            ['128GB', 'SDXC II', 'SDXC II', '250MB/s'],
            [$reading->from['capacity'], $reading->from['bus'], $reading->from['family'], $reading->from['read']],
        );
    }

    public function test_a_lone_speed_is_taken_as_the_read_claim_and_that_is_said(): void
    {
        self::assertStringContainsString('taken as the read claim', implode(' ', LabelReader::read('64GB SDXC 95MB/s')->notes));
        self::assertSame([], LabelReader::read('64GB SDXC read 95MB/s')->notes);
    }

    public function test_small_letters_mean_megabytes_on_a_label_and_that_is_said(): void
    {
        $reading = LabelReader::read('64GB SDXC read 95mb/s');
        self::assertSame(95.0, $reading->read?->megabytes());
        self::assertStringContainsString('taken as megabytes', implode(' ', $reading->notes));
        self::assertEqualsWithDelta(11.875, LabelReader::read('64GB SDXC read 95Mb/s')->read?->megabytes(), 1e-9);
    }

    public function test_two_sizes_are_both_named(): void
    {
        $reading = LabelReader::read('SDXC 64GB 128GB V30');
        self::assertNull($reading->capacity);
        self::assertStringContainsString('“64GB” and “128GB” are both sizes', implode(' ', $reading->notes));
        self::assertSame(['64GB', '128GB'], $reading->unknown);
    }

    public function test_what_a_mark_of_thousands_was_taken_for_is_said(): void
    {
        self::assertStringContainsString(
            '“3,650” is taken as 3650',
            implode(' ', LabelReader::read('CFexpress B 1TB read 3,650 MB/s')->notes),
        );
        self::assertStringContainsString(
            'no card of this kind has 12500',
            implode(' ', LabelReader::read('SDXC 64GB read 12,500 MB/s')->notes),
        );
    }

    /** @return iterable<string, array{string, bool}> line, whether something is left that may be a speed */
    public static function leftovers(): iterable
    {
        yield 'nothing' => ['SDXC 64GB V30', false];
        yield 'a name' => ['Osker Prime SDXC 64GB V30', false];
        yield 'a speed that was read' => ['SDXC 64GB 95MB/s', false];
        yield 'one printed oddly' => ['SDXC 64GB 95 MB p/s', true];
        yield 'a number alone' => ['microSDXC 1TB A1 U1 100', true];
        yield 'a number alone beside a rating' => ['SDXC 64GB 633x 90', true];
        yield 'a lot' => ['SDXC 64GB V30 lot 23B0114', false];
        yield 'degrees' => ['SDXC 64GB V30 -25°C to 85°C', false];
        yield 'one without its second' => ['SDXC 64GB 95MB', true];
        yield 'two bare numbers' => ['280 150 128GB SDXC II', true];
        yield 'a range' => ['SDXC 64GB 90-95MB/s', true];
        yield 'two readings of one' => ['Rev 1 700MB/s CFexpress Type B 512GB', true];
        yield 'a third figure' => ['SDXC 64GB read 95MB/s and 80MB/s elsewhere', true];
        yield 'frames' => ['SDXC 64GB 60fps', false];
        yield 'random access' => ['SDXC 64GB A2 4000/2000 IOPS', false];
        yield 'the link of a host' => ['SSD 1TB USB 10Gb/s', false];
    }

    #[DataProvider('leftovers')]
    public function test_what_is_left_over_and_may_be_a_speed_is_told(string $line, bool $isLeft): void
    {
        self::assertSame($isLeft, LabelReader::read($line)->speedUnread);
    }

    public function test_it_can_be_judged_once_form_and_capacity_are_known(): void
    {
        self::assertNull(LabelReader::read('V30 95MB/s')->label());
        self::assertSame(Mark::V30, LabelReader::read('SDXC 64GB V30')->label()?->topMark());
    }

    /** @return array<string, mixed> */
    private static function fields(LabelReading $reading): array
    {
        $rate = fn (?Rate $rate): ?float => $rate === null ? null : round($rate->megabytes(), 3);

        return [
            'form' => $reading->form?->value,
            'capacity' => $reading->capacity === null ? null : $reading->capacity->count / 1e9,
            'family' => $reading->family?->value,
            'bus' => $reading->bus?->value,
            'marks' => implode(' ', array_map(fn (Mark $mark): string => $mark->value, $reading->marks)),
            'read' => $rate($reading->read),
            'write' => $rate($reading->write),
            'sustained' => $rate($reading->sustained),
            'times' => $reading->times,
            'unknown' => implode(' ', $reading->unknown),
        ];
    }
}
