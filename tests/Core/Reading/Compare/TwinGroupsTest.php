<?php

declare(strict_types=1);

namespace Tests\Core\Reading\Compare;

use PHPUnit\Framework\TestCase;
use Tally\Quantity\Bytes;
use Tally\Reading\Compare\TwinCandidate;
use Tally\Reading\Compare\TwinGroup;
use Tally\Reading\Compare\TwinGroups;
use Tally\Reading\Limit\HeldBack;
use Tally\Reading\Limit\LimitedBy;

final class TwinGroupsTest extends TestCase
{
    private static function candidate(
        string $card,
        float $write,
        float $read,
        string $label = '',
        string $chain = 'R3',
        bool $heldBack = false,
        ?string $code = null,
        int $gb = 64,
    ): TwinCandidate {
        $spread = fn (float $rate): array => array_map(fn (float $off): float => $rate * 1e6 * (1 + $off), [
            -0.006,
            -0.002,
            0.0,
            0.003,
            0.005,
        ]);

        return new TwinCandidate(
            $card,
            $label === '' ? "label {$card}" : $label,
            $chain,
            $spread($write),
            reads: $spread($read),
            isHeldBack: $heldBack,
            backCode: $code,
            capacity: Bytes::gigabytes($gb),
        );
    }

    /**
     * @param  list<TwinCandidate>  $candidates
     * @return list<list<string>>
     */
    private static function together(array $candidates): array
    {
        return array_map(
            fn (TwinGroup $group): array => array_map(fn (TwinCandidate $one): string => $one->card, $group->members),
            TwinGroups::among($candidates),
        );
    }

    public function test_cards_of_different_labels_that_do_the_same_are_twins(): void
    {
        self::assertSame(
            [['A', 'B']],
            self::together([self::candidate('A', 57, 83), self::candidate('B', 57.5, 83.4), self::candidate('C', 70, 83)]),
        );
    }

    public function test_a_card_of_another_capacity_is_another_card(): void
    {
        self::assertSame([], self::together([self::candidate('A', 57, 83), self::candidate('B', 57, 83, gb: 128)]));
    }

    public function test_both_ways_have_to_agree(): void
    {
        self::assertSame([], self::together([self::candidate('A', 57, 83), self::candidate('B', 57, 88)]));
        self::assertSame([], self::together([self::candidate('A', 57, 83), self::candidate('B', 60.5, 83)]));
    }

    public function test_cards_of_one_label_are_no_news_and_chains_are_kept_apart(): void
    {
        self::assertSame([], self::together([self::candidate('A', 57, 83, 'same'), self::candidate('B', 57, 83, 'same')]));
        self::assertSame([], self::together([self::candidate('A', 57, 83), self::candidate('B', 57, 83, chain: 'R1')]));
        self::assertSame(
            [['A', 'B', 'C']],
            self::together([self::candidate('A', 57, 83, 'same'), self::candidate('B', 57, 83, 'same'), self::candidate('C', 57, 83)]),
        );
    }

    public function test_where_the_chain_was_the_limit_equality_says_nothing(): void
    {
        self::assertSame([], self::together([self::candidate('A', 57, 83, heldBack: true), self::candidate('B', 57, 83)]));
    }

    public function test_small_steps_make_no_twins_of_two_that_are_not(): void
    {
        // A and B are alike, B and C are, but A and C are 6 % apart.
        self::assertSame(
            [['A', 'B']],
            self::together([self::candidate('A', 100, 100), self::candidate('B', 103, 103), self::candidate('C', 106.2, 106.2)]),
        );
    }

    public function test_a_shared_back_code_is_told(): void
    {
        $groups = TwinGroups::among([
            self::candidate('A', 57, 83, code: 'J2 5510'),
            self::candidate('B', 57, 83, code: 'J2 5510'),
            self::candidate('C', 57, 83),
        ]);
        self::assertSame('J2 5510', $groups[0]->sharedBackCode());
        self::assertNull(
            TwinGroups::among([self::candidate('A', 57, 83, code: 'J2'), self::candidate('B', 57, 83, code: 'J3')])[0]->sharedBackCode(),
        );
    }

    public function test_when_a_chain_may_have_decided(): void
    {
        self::assertTrue(HeldBack::is([50e6], 95e6, LimitedBy::Reader));
        self::assertFalse(HeldBack::is([94e6], 95e6, LimitedBy::Card));
        self::assertTrue(HeldBack::is([86e6], 95e6, null));
        self::assertFalse(HeldBack::is([85e6], 95e6, LimitedBy::Undecided));
        self::assertFalse(HeldBack::is([], 95e6, null));
    }
}
