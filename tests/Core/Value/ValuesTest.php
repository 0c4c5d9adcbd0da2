<?php

declare(strict_types=1);

namespace Tests\Core\Value;

use DateTimeImmutable;
use DateTimeZone;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Label\Bus;
use Tally\Quantity\Bytes;
use Tally\Record\ProofRecord;
use Tally\Record\RunKind;
use Tally\Value\NotUsable;
use Tally\Value\Values;

final class ValuesTest extends TestCase
{
    public function test_a_value_is_read_back_as_it_was_written(): void
    {
        $value = new Sample(
            count: PHP_INT_MAX,
            size: Bytes::gigabytes(3),
            number: -1.0,
            isIt: true,
            bus: Bus::UhsII,
            name: 'x',
            words: ['a', 'b'],
            counts: ['one' => 1],
            pairs: [['p', 1]],
            rows: [new SampleRow('r', Bytes::of(5)), new SampleRow('s', Bytes::of(6), 7)],
            speeds: [1.5e6],
        );
        $json = Values::json($value);
        self::assertStringContainsString('"is_it":true', $json);
        self::assertStringContainsString('"rows":[["r",5,null],["s",6,7]]', $json);
        // Who reads it in a browser would round it.
        self::assertStringContainsString('"count":"9223372036854775807"', $json);
        self::assertEquals($value, Values::read(Sample::class, json_decode($json, true)));
    }

    public function test_what_is_missing_is_what_the_constructor_says(): void
    {
        $read = Values::read(Sample::class, ['count' => 7.0, 'size' => null, 'called' => null, 'weather' => 'rain']);
        self::assertEquals(new Sample(7), $read);
        self::assertSame(14, Values::write($read)['twice']);
    }

    public function test_quantities_may_be_written_by_people(): void
    {
        $read = Values::read(
            Sample::class,
            ['count' => '12', 'size' => '1 GB', 'speeds' => ['95 MB/s', 5], 'on' => '2026-11-01T18:30:00Z'],
        );
        self::assertSame([12, 1_000_000_000, [95e6, 5.0]], [$read->count, $read->size?->count, $read->speeds]);
        self::assertEquals(new DateTimeImmutable('2026-11-01 18:30', new DateTimeZone('UTC')), $read->on);
    }

    public function test_a_value_may_lie_among_the_fields_of_another(): void
    {
        $read = Values::read(Sample::class, ['count' => 1, 'kind' => 'k', 'from' => 3]);
        self::assertNull(Values::read(Sample::class, ['count' => 1])->among);
        self::assertNotNull($read->among);
    }

    /** @return iterable<string, array{array<string, mixed>, non-empty-string}> */
    public static function wrong(): iterable
    {
        yield 'half a count' => [['count' => 0.5], '“at.count” is 0.5: give a whole number.'];
        yield 'a padded count' => [['count' => '007'], '“at.count” is “007”: give a whole number.'];
        yield 'a count below nothing' => [['count' => -1], '“at.count” is -1: give a number that is not below nothing.'];
        yield 'no count' => [[], '“at.count” is missing: give a whole number.'];
        yield 'a word for a number' => [['number' => 'seven'], '“at.number” is “seven”: give a number.'];
        yield 'a number beyond all measure' => [['number' => 1e19], '“at.number” is 1.0e+19: give a number.'];
        yield 'a number for a word' => [['called' => 7], '“at.called” is 7: give a text.'];
        yield 'a word for a truth' => [['is_it' => 'yes'], '“at.is_it” is “yes”: say true or false.'];
        yield 'an object for a list' => [['words' => ['a' => 'b']], '“at.words” is an object: give a list.'];
        yield 'a number among words' => [['words' => ['a', 1]], '“at.words[1]” is 1: give a text.'];
        yield 'a word among counts' => [['counts' => ['one' => 'x']], '“at.counts.one” is “x”: give a whole number.'];
        yield 'a word in a pair' => [['pairs' => [['p', 'q']]], '“at.pairs[0].1” is “q”: give a whole number.'];
        yield 'half a pair' => [['pairs' => [['p']]], '“at.pairs[0].1” is missing: give a whole number.'];
        yield 'a row that is none' => [['rows' => ['r']], '“at.rows[0]” is “r”: give a row.'];
        yield 'a row with a word for a size' => [['rows' => [['r', 'much']]], '“at.rows[0].1” is “much”: “much” is not a size.'];
        yield 'a speed of nothing' => [['speeds' => [1, 0]], '“at.speeds[1]” is 0:'];
        yield 'an object of speeds for a list' => [['speeds' => ['a' => 5]], '“at.speeds” is an object: give a list.'];
        yield 'a speed beyond all measure' => [
            ['speeds' => [1e30]],
            '“at.speeds[0]” is 1.0e+30: give bytes a second, above nothing and below 10 TB/s.',
        ];
        yield 'a size that is none' => [['size' => 'seven'], '“at.size” is “seven”: “seven” is not a size.'];
        yield 'a list for a size' => [['size' => [1]], '“at.size” is a list of 1: write a size, such as 1 GB.'];
        yield 'a bus nobody knows' => [['bus' => 'uhs-ix'], '“at.bus” is “uhs-ix”: one of these would do: sd-default'];
        yield 'a day in words' => [['on' => 'Tuesday'], '“at.on” is “Tuesday”: write the moment as 2026-11-01T18:30:00Z.'];
        yield 'what the value itself refuses' => [['called' => ''], '“at.called” is “”: a name would do.'];
        yield 'a slip of the pen' => [['calld' => 'x'], '“at.calld” is “x”: there is no such field; perhaps “called” is meant.'];
    }

    /**
     * @param  array<string, mixed>  $given
     * @param  non-empty-string  $sentence
     */
    #[DataProvider('wrong')]
    public function test_what_is_wrong_is_said(array $given, string $sentence): void
    {
        try {
            Values::read(
                Sample::class,
                $sentence === '“at.count” is missing: give a whole number.' ? $given : ['count' => 1, ...$given],
                'at',
            );
            self::fail('It was read.');
        } catch (NotUsable $fault) {
            self::assertStringStartsWith($sentence, $fault->getMessage());
        }
    }

    public function test_what_was_given_is_quoted_shortly(): void
    {
        $this->expectExceptionMessageMatches('/^.{10,130}$/u');
        Values::read(Sample::class, ['count' => str_repeat('x', 500)]);
    }

    public function test_an_object_is_no_list_and_no_word(): void
    {
        $this->expectExceptionMessage('“at” is “x”: give an object.');
        Values::read(Sample::class, 'x', 'at');
    }

    public function test_a_proof_of_a_hostile_file_is_refused_by_its_field(): void
    {
        $this->expectExceptionMessage('“runs[0].result.patches[1].2” is -5: give a number that is not below nothing.');
        RunKind::Proof->result(
            ['imprint' => '1', 'size' => 9, 'condition' => 'whole', 'patches' => [['holds', 0, 5], ['blank', 5, -5]]],
            at: 'runs[0].result',
        );
    }

    public function test_a_proof_keeps_nothing_that_it_can_reckon_again(): void
    {
        $record = Values::read(ProofRecord::class, ['imprint' => 1, 'size' => 9, 'condition' => 'whole', 'classes' => ['holds' => 9]]);
        self::assertSame(
            [9, 'whole', false],
            [Values::write($record)['holds'], Values::write($record)['nature'], Values::write($record)['whole']],
        );
        self::assertEquals($record, Values::read(ProofRecord::class, Values::write($record)));
    }
}
