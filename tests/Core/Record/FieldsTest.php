<?php

declare(strict_types=1);

namespace Tests\Core\Record;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Label\Bus;
use Tally\Record\Fields;
use Tally\Record\NotUsable;

/** Each field of a file is what it should be, or a sentence says which one is not. */
final class FieldsTest extends TestCase
{
    public function test_numbers_are_taken_as_files_hold_them(): void
    {
        $fields = new Fields(['whole' => 7, 'float' => 7.0, 'great' => '18014398509481985', 'half' => 0.5, 'negative' => -1]);
        self::assertSame([7, 7, 2 ** 54 + 1], [$fields->integer('whole'), $fields->integer('float'), $fields->integer('great')]);
        self::assertSame(0.5, $fields->number('half'));
        self::assertSame(-1, $fields->integer('negative'));
        self::assertSame([null, null, null], [$fields->countOrNull('none'), $fields->numberOrNull('none'), $fields->textOrNull('none')]);
        self::assertSame(
            [3, 1.5, 'x', true, []],
            [
                $fields->count('none', 3),
                $fields->number('none', 1.5),
                $fields->text('none', 'x'),
                $fields->boolean('none', true),
                $fields->list('none'),
            ],
        );
    }

    public function test_places_are_named_from_the_top(): void
    {
        $row = (new Fields(['runs' => [['chain' => ['bus' => 'uhs-ii']]]]))->rows('runs')[0]->fields('chain');
        self::assertSame('runs[0].chain.bus', $row->name('bus'));
        self::assertSame(Bus::UhsII, $row->choice('bus', Bus::class));
    }

    /** @return iterable<string, array{callable(Fields): mixed, non-empty-string}> */
    public static function wrong(): iterable
    {
        yield 'half a number' => [fn (Fields $fields): mixed => $fields->integer('half'), '“at.half” is 0.5: give a whole number.'];
        yield 'digits that round' => [
            fn (Fields $fields): mixed => $fields->integer('padded'),
            '“at.padded” is “007”: give a whole number.',
        ];
        yield 'below nothing' => [
            fn (Fields $fields): mixed => $fields->count('negative'),
            '“at.negative” is -1: give a number that is not below nothing.',
        ];
        yield 'a word for a number' => [fn (Fields $fields): mixed => $fields->number('word'), '“at.word” is “seven”: give a number.'];
        yield 'a number for a word' => [fn (Fields $fields): mixed => $fields->text('negative'), '“at.negative” is -1: give a text.'];
        yield 'a word for a truth' => [fn (Fields $fields): mixed => $fields->boolean('word'), '“at.word” is “seven”: say true or false.'];
        yield 'an object for a list' => [fn (Fields $fields): mixed => $fields->list('object'), '“at.object” is an object: give a list.'];
        yield 'a list for an object' => [
            fn (Fields $fields): mixed => $fields->rows('list')[1],
            '“at.list[0]” is 1: give an object or a row.',
        ];
        yield 'a word among words' => [fn (Fields $fields): mixed => $fields->texts('list'), '“at.list[0]” is 1: give a text.'];
        yield 'a rate of nothing' => [
            fn (Fields $fields): mixed => $fields->rates('rates'),
            '“at.rates[1]” is 0: give bytes a second, above nothing.',
        ];
        yield 'a size that is none' => [fn (Fields $fields): mixed => $fields->size('word'), '“at.word” is “seven”: “seven” is not '.
            'a size.'];
        yield 'a speed that is none' => [
            fn (Fields $fields): mixed => $fields->rate('object'),
            '“at.object” is an object: write a speed, such as 95 MB/s.',
        ];
        yield 'what is missing' => [
            fn (Fields $fields): mixed => $fields->size('nowhere'),
            '“at.nowhere” is missing: write a size, such as 1 GB.',
        ];
    }

    /**
     * @param  callable(Fields): mixed  $read
     * @param  non-empty-string  $sentence
     */
    #[DataProvider('wrong')]
    public function test_what_is_wrong_is_said(callable $read, string $sentence): void
    {
        try {
            $read(
                new Fields(
                    [
                        'half' => 0.5,
                        'padded' => '007',
                        'negative' => -1,
                        'word' => 'seven',
                        'object' => ['a' => 1],
                        'list' => [1],
                        'rates' => [1, 0],
                    ],
                    'at',
                ),
            );
            self::fail('It was read.');
        } catch (NotUsable $fault) {
            self::assertStringStartsWith($sentence, $fault->getMessage());
        }
    }

    public function test_what_was_given_is_quoted_shortly(): void
    {
        try {
            (new Fields(['long' => str_repeat('x', 500)]))->integer('long');
            self::fail('It was read.');
        } catch (NotUsable $fault) {
            self::assertLessThan(130, mb_strlen($fault->getMessage()));
        }
    }
}
