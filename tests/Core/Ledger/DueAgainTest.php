<?php

declare(strict_types=1);

namespace Tests\Core\Ledger;

use DateTimeImmutable;
use PHPUnit\Framework\TestCase;
use Tally\Ledger\CardPast;
use Tally\Ledger\Due;
use Tally\Ledger\DueRules;
use Tally\Ledger\DueTest;
use Tally\Ledger\Incident;
use Tally\Ledger\IncidentKind;
use Tally\Ledger\SuspectReader;
use Tally\Ledger\Upcoming;
use Tally\Quantity\Bytes;

/** When a card is tested again: house rules. What happened to it, read from a line. */
final class DueAgainTest extends TestCase
{
    private static function day(string $day): DateTimeImmutable
    {
        return new DateTimeImmutable("{$day} 12:00:00 UTC");
    }

    /** @return list<string> day and test */
    private static function due(CardPast $past, DueRules $rules = new DueRules()): array
    {
        return array_map(fn (Due $one): string => "{$one->on->format('Y-m-d')} {$one->test->value}", Due::of($past, $rules));
    }

    public function test_after_so_many_months_and_never_before_the_first_proof(): void
    {
        $size = Bytes::gigabytes(64);
        self::assertSame([], self::due(new CardPast($size)));
        self::assertSame([], self::due(new CardPast($size, measured: self::day('2026-01-31'))));
        $past = new CardPast($size, self::day('2026-03-05'), self::day('2026-08-31'));
        // August has 31 days, February 28: the last day of the month.
        self::assertSame(['2027-02-28 measure', '2027-03-05 prove'], self::due($past));
        self::assertSame(['2026-09-05 prove', '2026-09-30 measure'], self::due($past, new DueRules(6, 1)));
    }

    public function test_after_so_much_written_an_incident_and_before_a_shoot(): void
    {
        $size = Bytes::gigabytes(64);
        $proven = self::day('2026-03-05');
        self::assertContains(
            '2026-06-01 prove',
            self::due(new CardPast($size, $proven, written: Bytes::gigabytes(4000), filled: self::day('2026-06-01'))),
        );
        $wet = new CardPast($size, $proven, incident: new Incident(IncidentKind::Wet, self::day('2026-05-01')));
        self::assertSame('2026-05-01 prove', self::due($wet)[0]);
        self::assertSame(['2027-03-05 prove'], self::due($wet, new DueRules(afterIncident: false)));
        $before = new CardPast($size, $proven, incident: new Incident(IncidentKind::Wet, self::day('2026-03-01')));
        self::assertSame(['2027-03-05 prove'], self::due($before));
        $shoot = new CardPast($size, $proven, shoot: new Upcoming('sea wall', self::day('2026-07-20')));
        self::assertSame('2026-07-06 prove', self::due($shoot)[0]);
        self::assertStringContainsString('sea wall', Due::of($shoot, new DueRules())[0]->why);
        $fresh = new CardPast($size, self::day('2026-06-30'), shoot: new Upcoming('sea wall', self::day('2026-07-20')));
        self::assertSame(['2027-06-30 prove'], self::due($fresh));
        self::assertSame(DueTest::Prove, Due::of($fresh, new DueRules())[0]->test);
    }

    public function test_what_happened_is_read_from_a_line(): void
    {
        foreach (
            [
                'QS-014 stuck in R3 at the pier' => IncidentKind::Stuck,
                'card error in C1, twice' => IncidentKind::CameraError,
                'QS-022 too hot to hold' => IncidentKind::Hot,
                'fell off the cart' => IncidentKind::Dropped,
                'case flooded, QS-027' => IncidentKind::Wet,
                'lost a clip on C2' => IncidentKind::LostClip,
                '2 takes lost' => IncidentKind::LostClip,
                'found again in the lid' => IncidentKind::Found,
                'dropped, then stuck' => IncidentKind::Dropped,
                'hotel' => null,
                '' => null,
            ] as $line => $kind
        ) {
            self::assertSame($kind, IncidentKind::inLine($line), $line);
        }
    }

    public function test_a_reader_that_is_named_with_three_cards_is_suspected(): void
    {
        $twice = [['A', IncidentKind::Stuck], ['A', IncidentKind::Hot], ['B', IncidentKind::Stuck], ['C', IncidentKind::Dropped]];
        self::assertSame([], SuspectReader::among($twice));
        self::assertSame(['A', 'B', 'C'], SuspectReader::among([...$twice, ['C', IncidentKind::CameraError]]));
    }

    public function test_a_card_has_served_after_so_many_years_or_so_much_written_where_the_house_has_such_a_rule(): void
    {
        $size = Bytes::gigabytes(64);
        $old = new CardPast($size, self::day('2026-03-05'), bought: self::day('2020-02-29'), worn: self::day('2026-04-01'));
        self::assertSame(['2026-04-01 retire', '2027-03-05 prove'], self::due($old), 'what was written, the rule that says so being told');
        $never = new CardPast($size, bought: self::day('2020-02-29'));
        self::assertSame([], self::due($never));
        // A leap day has no anniversary: the last day of its month.
        self::assertSame(['2028-02-29 retire'], self::due($never, new DueRules(retireYears: 8)));
        self::assertSame(['2025-02-28 retire'], self::due($never, new DueRules(retireYears: 5)));
        self::assertSame(
            'in the house since 29 Feb 2020, for 8 years',
            Due::of($never, new DueRules(retireYears: 8))[0]->why,
        );
    }
}
