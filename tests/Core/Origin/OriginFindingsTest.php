<?php

declare(strict_types=1);

namespace Tests\Core\Origin;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Buying\Price;
use Tally\Buying\Quote;
use Tally\Buying\Reference;
use Tally\Buying\Tier;
use Tally\Label\Finding;
use Tally\Label\Form;
use Tally\Label\Severity;
use Tally\Origin\Code;
use Tally\Origin\Origin;
use Tally\Origin\OriginFindings;
use Tally\Origin\Provenance;
use Tally\Origin\Sisters;
use Tally\Quantity\Bytes;

/** Every rule on both sides of its edge. */
final class OriginFindingsTest extends TestCase
{
    /** @return list<Finding> */
    private static function findings(
        ?string $price = null,
        ?string $reference = '100 EUR',
        ?Provenance $provenance = Provenance::Retail,
        Sisters $sisters = new Sisters(),
        ?string $lot = 'L7',
    ): array {
        $quotes =
            $reference === null
                ? []
                : array_fill(0, 3, new Quote(Form::Sd, Tier::all()[0], Bytes::gigabytes(100), Price::parse($reference, 'EUR')));

        return OriginFindings::of(
            Bytes::gigabytes(100),
            new Origin('S-1', 'B-1', $lot, $price === null ? null : Price::parse($price, 'EUR'), provenance: $provenance),
            $sisters,
            Reference::from($quotes, Form::Sd, Tier::all()[0], 'EUR', capacity: Bytes::gigabytes(100)),
        );
    }

    /** @return iterable<string, array{list<Finding>, string, Severity|null}> findings, rule, severity or null when it must be silent */
    public static function edges(): iterable
    {
        yield 'just under half' => [self::findings('49.99'), 'price-under-market', Severity::Note];
        yield 'half' => [self::findings('50'), 'price-under-market', null];
        yield 'a quarter' => [self::findings('25'), 'price-under-market', Severity::Note];
        yield 'a quarter is no doubt' => [self::findings('25'), 'price-far-under-market', null];
        yield 'just under a quarter' => [self::findings('24.99'), 'price-far-under-market', Severity::Doubt];
        yield 'the graver rule alone speaks' => [self::findings('24.99'), 'price-under-market', null];
        yield 'no reference yet' => [self::findings('1', null), 'price-far-under-market', null];
        yield 'reference in another currency' => [self::findings('1', '100 GBP'), 'price-far-under-market', null];
        yield 'no price' => [self::findings(), 'price-under-market', null];

        yield 'serial on another card' => [self::findings(sisters: new Sisters(['A-1'])), 'serial-met-before', Severity::Doubt];
        yield 'serial on no other' => [self::findings(), 'serial-met-before', null];
        yield 'back code on another card' => [self::findings(sisters: new Sisters([], ['A-1'])), 'back-code-met-before', Severity::Doubt];
        yield 'back code on no other' => [self::findings(), 'back-code-met-before', null];

        yield 'a bad sister' => [self::findings(sisters: new Sisters(lotSize: 5, lotSham: 1, otherSham: 1)), 'bad-sister', Severity::Doubt];
        yield 'good sisters' => [self::findings(sisters: new Sisters(lotSize: 5)), 'bad-sister', null];
        yield 'bad, but only itself' => [self::findings(sisters: new Sisters(lotSize: 5, lotSham: 1)), 'bad-sister', null];

        yield 'sample' => [self::findings(provenance: Provenance::Sample), 'pre-production', Severity::Note];
        yield 'lent' => [self::findings(provenance: Provenance::Lent), 'pre-production', null];
        yield 'unknown' => [self::findings(provenance: null), 'provenance-unknown', Severity::Note];
        yield 'known' => [self::findings(provenance: Provenance::Marketplace), 'provenance-unknown', null];
    }

    /** @param  list<Finding>  $findings */
    #[DataProvider('edges')]
    public function test_rules_fire_on_their_side_of_the_edge_only(array $findings, string $rule, ?Severity $severity): void
    {
        $found = array_values(array_filter($findings, fn (Finding $finding): bool => $finding->id === $rule));
        self::assertSame($severity, ($found[0] ?? null)?->severity);
    }

    public function test_reasons_name_the_other_cards_and_the_figures(): void
    {
        $reasons = array_map(
            fn (Finding $finding): string => $finding->reason,
            self::findings('24', sisters: new Sisters(['A-1', 'A-2', 'A-3', 'A-4'], [], 5, 2, otherSham: 2)),
        );
        self::assertStringContainsString('The serial S-1 is on A-1, A-2, A-3 and 1 more too', $reasons[0]);
        self::assertStringContainsString(
            '0.240 EUR/GB is 24 % of what such cards cost here, 1.000 EUR/GB (the median of 3 quotes for 50 GB to 200 GB)',
            $reasons[1],
        );
        self::assertStringContainsString('2 of 4 others from lot L7 are Sham', $reasons[2]);
    }

    public function test_codes_are_compared_without_how_they_were_typed(): void
    {
        self::assertSame(Code::key('ab-12 34'), Code::key('AB1234'));
        self::assertNotSame(Code::key('AB1234'), Code::key('AB1235'));
        self::assertNull(Code::key(' – '));
        self::assertNull(Code::key(null));
    }
}
