<?php

declare(strict_types=1);

namespace Tests\Core\CaseFile;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\CaseFile\CaseOfCard;
use Tally\CaseFile\CaseReader;
use Tally\Label\Bus;
use Tally\Label\Mark;
use Tally\Quantity\Bytes;
use Tally\Reading\Condition;
use Tally\Value\NotUsable;
use Tests\Support\JudgesCases;

/** What a case is read as, and what is said of one that cannot be read: which field, what was given, what would do. */
final class CaseReaderTest extends TestCase
{
    use JudgesCases;

    /** @param  array<string, mixed>  $case */
    private static function read(array $case): CaseOfCard
    {
        return CaseReader::read(['format' => 'gritty-tally-case', 'version' => 1, 'label' => self::V60, ...$case]);
    }

    /**
     * @param  array<string, mixed>  $with
     * @return array<string, mixed>
     */
    private static function aRun(array $with): array
    {
        return ['runs' => [[...self::speed(100, 200), ...$with]]];
    }

    public function test_the_label_is_read_by_the_same_reader_as_everywhere(): void
    {
        $label = self::evidence(self::V60, [], ['seen' => ['contact_rows' => 2]])->label;
        self::assertSame(
            [128_000_000_000, Bus::UhsII, 250e6, 130e6, 2],
            [$label->capacity->count, $label->bus, $label->read?->bytesPerSecond, $label->write?->bytesPerSecond, $label->contactRows],
        );
        self::assertContains(Mark::V60, $label->marks);
    }

    public function test_readings_are_sizes_and_speeds_as_people_write_them(): void
    {
        $evidence = self::evidence(self::V60, [
            [
                'kind' => 'speed',
                'bytes' => '1 GB',
                'from' => '64 GB',
                'chain' => self::GOOD,
                'write' => ['800 Mb/s', 90_000_000],
                'read' => ['200 MB/s'],
            ],
        ]);
        $run = $evidence->speeds[0];
        self::assertSame([100e6, 90e6], $run->record->writes);
        self::assertSame([200e6], $run->record->reads);
        self::assertSame(64_000_000_000, $run->record->from->count);
    }

    public function test_a_run_that_is_listed_twice_was_made_once(): void
    {
        $run = self::speed(100, 200);
        self::assertCount(1, self::evidence(self::V60, [$run, $run])->speeds);
        self::assertCount(2, self::evidence(self::V60, [$run, [...$run, 'on' => '2026-11-02']])->speeds);
    }

    public function test_a_chain_that_nobody_named_is_none(): void
    {
        self::assertFalse(self::evidence(self::V60, [self::speed(100, 200, null)])->speeds[0]->chain->isNamed());
        self::assertTrue(self::evidence(self::V60, [self::speed(100, 200)])->speeds[0]->chain->isNamed());
    }

    public function test_what_lies_behind_what_was_read_back_nobody_knows(): void
    {
        $proof = self::evidence(self::V60, [self::proof(more: ['read_back' => '60 GB', 'bad' => [['scrambled', '100 GB', '1 MB']]])])
            ->proofs[0];
        self::assertSame(0, $proof->record->bad()->count);
    }

    public function test_the_last_lap_or_the_address_itself_tells_what_an_echo_repeats(): void
    {
        $case = fn (string $lap): Condition => self::evidence('32GB microSDHC C10', [
            [
                'kind' => 'proof',
                'mode' => 'raw',
                'chain' => self::ORDINARY,
                'shows' => '32 GB',
                'written' => '32 GB',
                'read_back' => '32 GB',
                'bad' => [['echoes', '0', '24 GB', $lap]],
            ],
        ])->proofs[0]->record->diagnosis->condition;
        self::assertSame(Condition::Wraps, $case('8 GB'));
    }

    public function test_a_screen_knows_only_the_places_that_it_stamped(): void
    {
        $screen = self::evidence(self::V60, [['kind' => 'screen', 'chain' => self::GOOD, 'shows' => '128 GB', 'points' => 64, 'bad' => []]])
            ->proofs[0];
        self::assertSame(64, $screen->record->points());
        self::assertFalse($screen->record->isWhole());
        self::assertEquals(Bytes::of(128_000_000_000), $screen->record->extent->shown);
    }

    public function test_what_a_screen_was_refused_counts_as_in_a_proof(): void
    {
        $screen = self::evidence(self::V60, [
            ['kind' => 'screen', 'chain' => self::GOOD, 'shows' => '128 GB', 'points' => 64, 'refused' => ['read', '60 GB']],
        ])->proofs[0];
        self::assertSame(Condition::Refuses, $screen->record->diagnosis->condition);
    }

    /** @return iterable<string, array{array<string, mixed>, string, string, string}> case, field, given, what would do */
    public static function unusable(): iterable
    {
        yield 'another format' => [['format' => 'other'], 'format', '“other”', 'gritty-tally-case'];
        yield 'no format' => [['format' => null], 'format', 'missing', 'gritty-tally-case'];
        yield 'a later version' => [['version' => 2], 'version', '2', 'reads version 1'];
        yield 'no label' => [['label' => null], 'label', 'missing', 'give a text'];
        yield 'a label without capacity' => [['label' => 'SDXC V30'], 'label', '“SDXC V30”', 'its capacity'];
        yield 'a label without form' => [['label' => '128GB'], 'label', '“128GB”', 'the form of the card'];
        yield 'three rows of contacts' => [['seen' => ['contact_rows' => 3]], 'seen.contact_rows', '3', '1 or 2'];
        yield 'seats loosely' => [['seen' => ['seats' => 'loosely']], 'seen.seats', '“loosely”', '“pressed”'];
        yield 'seen is no object' => [['seen' => 'one row'], 'seen', '“one row”', 'give an object'];
        yield 'a price in words' => [['price' => 'cheap'], 'price', '“cheap”', 'is not a price'];
        yield 'runs are no list' => [['runs' => 'none'], 'runs', '“none”', 'give a list'];
        yield 'a run is no object' => [['runs' => ['speed']], 'runs[0]', '“speed”', 'give an object'];
        yield 'a kind nobody knows' => [self::aRun(['kind' => 'guess']), 'runs[0].kind', '“guess”', 'speed, sustained, proof, screen'];
        yield 'a misspelt field' => [self::aRun(['wrte' => ['9 MB/s']]), 'runs[0].wrte', 'a list of 1', '“write” is meant'];
        yield 'a reading that is no speed' => [
            self::aRun(['write' => ['100 MB/s', 'fast']]),
            'runs[0].write[1]',
            '“fast”',
            'is not a speed',
        ];
        yield 'a reading of nothing' => [self::aRun(['read' => ['0 MB/s']]), 'runs[0].read[0]', '“0 MB/s”', ''];
        yield 'a size that is none' => [self::aRun(['bytes' => 'much']), 'runs[0].bytes', '“much”', 'is not a size'];
        yield 'a day in words' => [self::aRun(['on' => 'Tuesday']), 'runs[0].on', '“Tuesday”', '2026-11-01'];
        yield 'from nowhere' => [self::aRun(['source' => 'hearsay']), 'runs[0].source', '“hearsay”', '“typed”'];
        yield 'a bus nobody knows' => [
            self::aRun(['chain' => ['reader' => 'R', 'bus' => 'UHS-IX', 'link' => 'USB 5 Gb/s']]),
            'runs[0].chain.bus',
            '“UHS-IX”',
            'UHS-II',
        ];
        yield 'a link nobody knows' => [
            self::aRun(['chain' => ['reader' => 'R', 'bus' => 'UHS-I', 'link' => 'string']]),
            'runs[0].chain.link',
            '“string”',
            'USB 5 Gb/s',
        ];
        yield 'a camera in words' => [self::aRun(['chain' => ['camera' => 'yes']]), 'runs[0].chain.camera', '“yes”', 'true or false'];
        yield 'a sustained run without a course' => [
            ['runs' => [['kind' => 'sustained', 'chain' => null]]],
            'runs[0].course',
            'missing',
            'pieces of steady speed',
        ];
        yield 'a piece of no length' => [['runs' => [self::long([['0 B', '9 MB/s']])]], 'runs[0].course[0].0', '“0 B”', 'some length'];
        yield 'more read than written' => [
            ['runs' => [self::proof(more: ['read_back' => '128 GB', 'written' => '64 GB'])]],
            'runs[0].read_back',
            '“128 GB”',
            'no more can be read back',
        ];
        yield 'more written than shown' => [
            ['runs' => [self::proof(more: ['written' => '129 GB', 'read_back' => '129 GB'])]],
            'runs[0].written',
            '“129 GB”',
            'no more can be written',
        ];
        yield 'a class of block nobody knows' => [
            ['runs' => [self::proof(more: ['bad' => [['odd', '1 GB', '1 MB']]])]],
            'runs[0].bad[0].0',
            '“odd”',
            'scrambled',
        ];
        yield 'bad parts over each other' => [
            ['runs' => [self::proof(more: ['bad' => [['blank', '1 GB', '2 GB'], ['blank', '2 GB', '1 GB']]])]],
            'runs[0].bad[1].1',
            '“2 GB”',
            'begins inside',
        ];
        yield 'an echo of nothing' => [
            ['runs' => [self::proof(more: ['bad' => [['echoes', '1 GB', '2 GB']]])]],
            'runs[0].bad[0].3',
            'missing',
            'repeats another address',
        ];
        yield 'refused what' => [
            ['runs' => [self::proof(more: ['refused' => ['sleep', '60 GB']])]],
            'runs[0].refused.0',
            '“sleep”',
            '“write” or “read”',
        ];
        yield 'proven by magic' => [['runs' => [self::proof(more: ['mode' => 'magic'])]], 'runs[0].mode', '“magic”', '“folder”'];
        yield 'a screen of no places' => [
            ['runs' => [['kind' => 'screen', 'shows' => '64 GB', 'points' => 0]]],
            'runs[0].points',
            '0',
            'whole number',
        ];
        yield 'a reader without a name' => [
            ['house' => ['readers' => [['reached' => '90 MB/s']]]],
            'house.readers[0].name',
            'missing',
            'give a text',
        ];
        yield 'a quote for no card' => [
            ['price' => '9 EUR', 'house' => ['prices' => [['label' => 'a card', 'price' => '9 EUR']]]],
            'house.prices[0].label',
            '“a card”',
            'form and capacity',
        ];
        yield 'an expectation of nothing' => [['expect' => ['topics' => []]], 'expect.verdict', 'missing', 'Sham, Shaky'];
        yield 'an expectation nobody knows' => [['expect' => ['verdict' => 'Fine']], 'expect.verdict', '“Fine”', 'Sound'];
        yield 'a topic nobody knows' => [
            ['expect' => ['verdict' => 'Sound', 'topics' => ['colour' => 'Sound']]],
            'expect.topics.colour',
            '“Sound”',
            'capacity',
        ];
    }

    /** @param  array<string, mixed>  $case */
    #[DataProvider('unusable')]
    public function test_a_case_that_cannot_be_read_says_which_field_what_was_given_and_what_would_do(
        array $case,
        string $field,
        string $given,
        string $wanted,
    ): void {
        try {
            self::read($case);
            self::fail('It was read.');
        } catch (NotUsable $fault) {
            self::assertSame($field, $fault->field);
            self::assertStringContainsString($given, $fault->getMessage());
            self::assertStringContainsString($wanted, $fault->getMessage());
            self::assertMatchesRegularExpression('/[.)]$/', $fault->getMessage());
        }
    }

    public function test_a_field_that_looks_like_none_that_is_known_is_passed_over(): void
    {
        self::assertSame('x', self::read(['name' => 'x', 'weather' => 'rain', ...self::aRun(['handwriting' => 'poor'])])->name);
    }
}
