<?php

declare(strict_types=1);

namespace Tests\Core\Reading;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Quantity\Rate;
use Tally\Reading\TypedSlip;

/** Figures that a slipped unit explains: handbook § 6 rule 10. */
final class TypedSlipTest extends TestCase
{
    /** @return iterable<string, array{float, float|null, list<float>, float|null, string|null}> typed, claim, seen, writes, what is said */
    public static function figures(): iterable
    {
        yield 'just the claim' => [95, 95, [], null, null];
        yield 'a little above it' => [98, 95, [], null, null];
        yield 'megabits for megabytes' => [760, 95, [], null, '8 times the label’s 95 MB/s: megabits read as megabytes'];
        yield 'read aloud and rounded' => [800, 95, [], null, '8 times and 1.0486 times the label’s 95 MB/s'];
        yield 'rounded to what its digits leave open' => [700, 90, [], null, '8 times the label’s 90 MB/s: megabits read as megabytes'];
        yield 'megabytes for megabits' => [11.875, 95, [], null, 'an eighth of the label’s 95 MB/s: megabytes read as megabits'];
        yield 'mebibytes' => [99.61, 95, [], null, '1.0486 times the label’s 95 MB/s: MiB read as MB'];
        yield 'gibibytes, the nearer one' => [102, 95, [], null, '1.0737 times the label’s 95 MB/s: GiB read as GB'];
        yield 'two slips at once' => [796.9, 95, [], null, '8 times and 1.0486 times the label’s 95 MB/s'];
        yield 'of what it was seen to do' => [704, null, [88], null, '8 times the 88 MB/s that it was seen to do'];
        yield 'a few per cent off what it was seen to do' => [92.3, null, [88], null, null];
        yield 'six times the label is no merit' => [570, 95, [], null, '8 times 71.25 MB/s: megabits read as megabytes'];
        yield 'twice the label may be' => [190, 95, [], null, null];
        yield 'an eighth of what it writes' => [90.375, 800, [], 650, 'an eighth of 723 MB/s: megabytes read as megabits'];
        yield 'little, and no unit explains it' => [20, 800, [], 650, null];
    }

    /** @param  list<float>  $seen */
    #[DataProvider('figures')]
    public function test_what_a_slip_explains(float $typed, ?float $claim, array $seen, ?float $writes, ?string $says): void
    {
        $rate = fn (?float $rate): ?Rate => $rate === null ? null : Rate::megabytesPerSecond($rate);
        $slip = TypedSlip::of(
            Rate::megabytesPerSecond($typed),
            $rate($claim),
            array_map(Rate::megabytesPerSecond(...), $seen),
            $rate($writes),
            paper: Rate::megabytesPerSecond(985),
        );
        self::assertStringContainsString((string) $says, (string) $slip?->sentence());
        self::assertSame($says === null, $slip === null);
    }
}
