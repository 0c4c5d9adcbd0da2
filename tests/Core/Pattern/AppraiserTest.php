<?php

declare(strict_types=1);

namespace Tests\Core\Pattern;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Pattern\Appraiser;
use Tally\Pattern\Blank;
use Tally\Pattern\BlockClass;
use Tally\Pattern\Literal;
use Tally\Pattern\Mosaic;
use Tally\Pattern\Noise;
use Tally\Pattern\Patch;
use Tally\Pattern\TestPattern;
use Tally\Quantity\Bytes;

final class AppraiserTest extends TestCase
{
    private const SIZE = 8 * TestPattern::BLOCK;

    private static function imprint(int $run = 7): TestPattern
    {
        return new TestPattern($run, Bytes::of(self::SIZE));
    }

    /** @return list<Patch> */
    private static function appraise(string $bytes, int $offset = 0): array
    {
        return (new Appraiser(self::imprint()))->appraise(new Literal($bytes), $offset);
    }

    /**
     * @param  list<array{BlockClass, int, int}>  $expected  class, offset, length
     * @param  list<Patch>  $patches
     */
    private static function assertPatches(array $expected, array $patches): void
    {
        self::assertEquals($expected, array_map(fn (Patch $patch): array => [$patch->class, $patch->offset, $patch->length], $patches));
    }

    public function test_what_came_back_as_written_holds(): void
    {
        self::assertPatches(
            [[BlockClass::Holds, TestPattern::BLOCK, TestPattern::BLOCK]],
            self::appraise(self::imprint()->block(TestPattern::BLOCK), TestPattern::BLOCK),
        );
    }

    public function test_several_blocks_at_once(): void
    {
        $patches = self::appraise(self::imprint()->range(0, 3 * TestPattern::BLOCK));
        self::assertCount(3, $patches);
        self::assertSame(3 * TestPattern::BLOCK, array_sum(array_map(fn (Patch $patch): int => $patch->length, $patches)));
    }

    public function test_a_single_flipped_byte_is_named_by_its_sector_with_its_wrong_bits(): void
    {
        $block = self::imprint()->block(0);
        $block[700_001] = chr(ord($block[700_001]) ^ 0b101);
        $patches = self::appraise($block);
        $at = 700_001 - (700_001 % 512);
        self::assertPatches(
            [
                [BlockClass::Holds, 0, $at],
                [BlockClass::Scrambled, $at, 512],
                [BlockClass::Holds, $at + 512, TestPattern::BLOCK - $at - 512],
            ],
            $patches,
        );
        self::assertSame(2, $patches[1]->wrongBits);
    }

    public function test_a_whole_block_of_another_address_is_an_echo_that_names_it(): void
    {
        $patches = self::appraise(self::imprint()->block(5 * TestPattern::BLOCK), 2 * TestPattern::BLOCK);
        self::assertPatches([[BlockClass::Echoes, 2 * TestPattern::BLOCK, TestPattern::BLOCK]], $patches);
        self::assertSame(5 * TestPattern::BLOCK, $patches[0]->source);
        self::assertSame(3 * TestPattern::BLOCK, $patches[0]->shift());
    }

    /** @return iterable<string, array{int}> bytes that the data belonged further on */
    public static function outOfStep(): iterable
    {
        yield 'whole units of the cipher' => [3_000_320];
        for ($more = 1; $more < 16; $more++) {
            yield "and {$more} bytes" => [3_000_320 + $more];
        }
    }

    #[DataProvider('outOfStep')]
    public function test_an_echo_that_is_not_in_step_with_the_blocks_is_found_to_the_byte(int $shift): void
    {
        $patches = self::appraise(self::imprint()->range($shift, TestPattern::BLOCK));
        self::assertSame(TestPattern::BLOCK, array_sum(array_map(fn (Patch $patch): int => $patch->length, $patches)));
        foreach ($patches as $patch) {
            self::assertSame(BlockClass::Echoes, $patch->class);
            self::assertSame($shift, $patch->shift());
        }
    }

    public function test_a_block_that_is_half_right_and_half_an_echo_is_parted_where_it_changes(): void
    {
        $half = 262_144;
        $bytes = self::imprint()->range(0, $half).self::imprint()->range(4 * TestPattern::BLOCK + $half, TestPattern::BLOCK - $half);
        $halves = [[BlockClass::Holds, 0, $half], [BlockClass::Echoes, $half, TestPattern::BLOCK - $half]];
        self::assertPatches($halves, self::appraise($bytes));
    }

    public function test_blanks_of_both_kinds(): void
    {
        self::assertPatches([[BlockClass::Blank, 0, TestPattern::BLOCK]], self::appraise(str_repeat("\0", TestPattern::BLOCK)));
        self::assertPatches([[BlockClass::Blank, 0, TestPattern::BLOCK]], self::appraise(str_repeat("\xFF", TestPattern::BLOCK)));
        $bytes = self::imprint()->range(0, 1024).str_repeat("\xFF", TestPattern::BLOCK - 1024);
        self::assertPatches([[BlockClass::Holds, 0, 1024], [BlockClass::Blank, 1024, TestPattern::BLOCK - 1024]], self::appraise($bytes));
    }

    public function test_what_an_earlier_run_wrote_is_stale(): void
    {
        $patches = self::appraise(self::imprint(99)->block(0));
        self::assertSame(
            [BlockClass::Stale],
            array_values(array_unique(array_map(fn (Patch $patch): BlockClass => $patch->class, $patches), SORT_REGULAR)),
        );
    }

    public function test_foreign_data_is_scrambled(): void
    {
        $patches = self::appraise(random_bytes(4096));
        self::assertCount(8, $patches);
        self::assertSame(BlockClass::Scrambled, $patches[0]->class);
        self::assertGreaterThan(1500, $patches[0]->wrongBits);
    }

    public function test_a_seal_that_fits_does_not_excuse_a_block_of_another_place(): void
    {
        // The residue of a sealed block is the same everywhere: only stamp and seal together make a block good.
        $patches = self::appraise(self::imprint()->block(TestPattern::BLOCK), 0);
        self::assertSame(BlockClass::Echoes, $patches[0]->class);
    }

    public function test_books_and_bytes_of_a_made_up_medium_tell_the_same(): void
    {
        $imprint = self::imprint();
        $mosaic = new Mosaic([
            $imprint->stretch(0, 4096),
            $imprint->stretch(4 * TestPattern::BLOCK + 4096, 8192),
            new Blank(2048),
            new Noise($imprint->stretch(14_336, 1024), 3),
            self::imprint(99)->stretch(15_360, 1024),
            $imprint->stretch(16_384, TestPattern::BLOCK - 16_384),
        ]);
        $appraiser = new Appraiser($imprint);
        $sum = function (array $patches): array {
            $sums = [];
            foreach ($patches as $patch) {
                assert($patch instanceof Patch);
                $sums[$patch->class->value] = ($sums[$patch->class->value] ?? 0) + $patch->length;
                $sums['bits'] = ($sums['bits'] ?? 0) + $patch->wrongBits;
            }
            ksort($sums);

            return $sums;
        };
        $described = $appraiser->appraise($mosaic, 0);
        $byBytes = $appraiser->appraise(new Literal($mosaic->bytes()), 0);
        self::assertSame(TestPattern::BLOCK, $mosaic->length());
        self::assertSame($sum($described), $sum($byBytes));
        self::assertSame(
            [
                'bits' => 6,
                'blank' => 2048,
                'echoes' => 8192,
                'holds' => 4096 + TestPattern::BLOCK - 16_384,
                'scrambled' => 1024,
                'stale' => 1024,
            ],
            $sum($byBytes),
        );
    }
}
