<?php

declare(strict_types=1);

namespace Tests\Core\Pattern;

use InvalidArgumentException;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Pattern\Cipher;
use Tally\Pattern\TestPattern;
use Tally\Quantity\Bytes;

final class TestPatternTest extends TestCase
{
    private const SIZE = 5 * TestPattern::BLOCK + 12_345;

    private static function imprint(int $run = 7): TestPattern
    {
        return new TestPattern($run, Bytes::of(self::SIZE));
    }

    public function test_a_block_can_be_made_again(): void
    {
        self::assertSame(self::imprint()->block(TestPattern::BLOCK), self::imprint()->block(TestPattern::BLOCK));
    }

    public function test_no_two_blocks_and_no_two_runs_are_alike(): void
    {
        self::assertNotSame(self::imprint()->block(0), self::imprint()->block(TestPattern::BLOCK));
        self::assertNotSame(self::imprint(7)->block(0), self::imprint(8)->block(0));
    }

    public function test_from_anywhere_in_a_block_one_can_tell_run_and_address(): void
    {
        $block = self::imprint(123_456_789)->block(3 * TestPattern::BLOCK);
        foreach ([0, 16, 512, 4096, TestPattern::BLOCK - 512, TestPattern::BLOCK - 48] as $at) {
            $stamp = Cipher::stamp(substr($block, $at));
            self::assertNotNull($stamp);
            self::assertSame(123_456_789, $stamp->run);
            self::assertSame(3 * TestPattern::BLOCK + $at, $stamp->address);
        }
    }

    public function test_other_data_carries_no_stamp(): void
    {
        foreach ([str_repeat("\0", 64), str_repeat("\xFF", 64), random_bytes(64), 'short'] as $bytes) {
            self::assertNull(Cipher::stamp($bytes));
        }
    }

    public function test_stamps_reach_to_the_largest_card_and_beyond(): void
    {
        $address = 128_000_000_000_000 - (128_000_000_000_000 % TestPattern::BLOCK);
        $imprint = new TestPattern(PHP_INT_MAX, Bytes::of(200_000_000_000_000));
        $stamp = Cipher::stamp($imprint->block($address));
        self::assertSame([PHP_INT_MAX, $address], [$stamp?->run, $stamp?->address]);
    }

    public function test_it_cannot_be_compressed(): void
    {
        $block = self::imprint()->block(0);
        self::assertGreaterThan(0.999 * strlen($block), strlen((string) gzdeflate($block, 9)));
    }

    public function test_an_intact_block_is_known_as_such(): void
    {
        $imprint = self::imprint();
        foreach ([0, 4 * TestPattern::BLOCK, 5 * TestPattern::BLOCK] as $address) {
            self::assertTrue($imprint->isIntact($imprint->block($address), $address));
        }
    }

    public function test_a_block_at_the_wrong_address_or_of_another_run_is_not_intact(): void
    {
        $imprint = self::imprint();
        self::assertFalse($imprint->isIntact($imprint->block(0), TestPattern::BLOCK));
        self::assertFalse($imprint->isIntact(self::imprint(8)->block(0), 0));
        self::assertFalse($imprint->isIntact(substr($imprint->block(0), 0, -1), 0));
    }

    /** @return iterable<string, array{int}> */
    public static function places(): iterable
    {
        yield 'first byte' => [0];
        yield 'in the stamp' => [20];
        yield 'in the middle' => [524_288];
        yield 'before the seal' => [TestPattern::BLOCK - 5];
        yield 'in the seal' => [TestPattern::BLOCK - 4];
        yield 'last byte' => [TestPattern::BLOCK - 1];
    }

    #[DataProvider('places')]
    public function test_a_single_flipped_bit_is_noticed_wherever_it_is(int $at): void
    {
        for ($bit = 0; $bit < 8; $bit++) {
            $block = self::imprint()->block(0);
            $block[$at] = chr(ord($block[$at]) ^ (1 << $bit));
            self::assertFalse(self::imprint()->isIntact($block, 0));
        }
    }

    public function test_a_range_is_cut_from_the_blocks(): void
    {
        $whole = self::imprint()->block(0).self::imprint()->block(TestPattern::BLOCK);
        self::assertSame(substr($whole, 1_000_000, 100_000), self::imprint()->range(1_000_000, 100_000));
        self::assertSame(
            self::imprint()->block(5 * TestPattern::BLOCK),
            self::imprint()->range(5 * TestPattern::BLOCK, 999_999),
            'not beyond the end',
        );
    }

    public function test_a_described_stretch_makes_the_same_bytes(): void
    {
        $imprint = self::imprint();
        self::assertSame($imprint->block(0), $imprint->stretch(0, TestPattern::BLOCK)->bytes());
        self::assertSame($imprint->range(512, 2 * TestPattern::BLOCK), $imprint->stretch(512, 2 * TestPattern::BLOCK)->bytes());
        self::assertSame(12_345, $imprint->stretch(5 * TestPattern::BLOCK, TestPattern::BLOCK)->length());
        self::assertSame($imprint->block(5 * TestPattern::BLOCK), $imprint->stretch(5 * TestPattern::BLOCK, TestPattern::BLOCK)->bytes());
    }

    /** @return iterable<string, array{int}> */
    public static function tails(): iterable
    {
        foreach ([1, 15, 16, 31, 63, 64, 65, 512, TestPattern::BLOCK - 1, TestPattern::BLOCK] as $size) {
            yield "{$size} bytes" => [$size];
        }
    }

    #[DataProvider('tails')]
    public function test_media_of_any_size_down_to_a_byte_are_covered_and_checked(int $size): void
    {
        $imprint = new TestPattern(9, Bytes::of($size));
        $block = $imprint->block(0);
        self::assertSame($size, strlen($block));
        self::assertTrue($imprint->isIntact($block, 0));
        $block[$size - 1] = chr(ord($block[$size - 1]) ^ 1);
        self::assertFalse($imprint->isIntact($block, 0));
    }

    public function test_random_runs_differ(): void
    {
        self::assertNotSame(TestPattern::random(Bytes::of(1))->run, TestPattern::random(Bytes::of(1))->run);
    }

    public function test_runs_are_numbered_above_zero(): void
    {
        $this->expectException(InvalidArgumentException::class);
        new TestPattern(0, Bytes::of(1));
    }
}
