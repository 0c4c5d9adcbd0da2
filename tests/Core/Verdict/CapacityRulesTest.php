<?php

declare(strict_types=1);

namespace Tests\Core\Verdict;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Verdict\Step;
use Tally\Verdict\Topic;
use Tally\Verdict\VerdictKind;
use Tests\Support\JudgesCases;

/** Whole means whole, and a fake needs a fake's mark: handbook § 6 rules 1 and 2, house rules. */
final class CapacityRulesTest extends TestCase
{
    use JudgesCases;

    /** @return iterable<string, array{array<string, mixed>, VerdictKind}> what is different about the proof */
    public static function proofs(): iterable
    {
        yield 'all that it shows, written and read back' => [[], VerdictKind::Sound];
        yield 'a hair was not read back' => [['read_back' => '127.86 GB'], VerdictKind::Unproven];
        yield '94 % was read back' => [['read_back' => '120.4 GB', 'stopped' => true], VerdictKind::Unproven];
        yield 'a part, whatever share of the label' => [['written' => '119.1 GB', 'read_back' => '119.1 GB'], VerdictKind::Unproven];
        yield 'written, nothing read back' => [['read_back' => '0 GB', 'stopped' => true], VerdictKind::Unproven];
        yield 'in a folder, all that the file system gave' => [
            ['mode' => 'folder', 'shows' => '119.1 GB', 'written' => '119.1 GB', 'read_back' => '119.1 GB'],
            VerdictKind::Sound,
        ];
        yield 'in a folder that gave under 93 % of the label' => [
            ['mode' => 'folder', 'shows' => '119 GB', 'written' => '119 GB', 'read_back' => '119 GB'],
            VerdictKind::Unproven,
        ];
        yield 'the medium itself shows 93 %' => [
            ['shows' => '119.04 GB', 'written' => '119.04 GB', 'read_back' => '119.04 GB'],
            VerdictKind::Sound,
        ];
        yield 'the medium itself shows less' => [['shows' => '119.03 GB', 'written' => '1 GB', 'read_back' => '1 GB'], VerdictKind::Sham];
        // Data from other addresses, or silently not kept up to the end.
        yield 'starts over' => [['bad' => [['echoes', '0 GB', '95.9 GB', '31.97 GB']]], VerdictKind::Sham];
        yield 'starts over, broken off in its reading' => [
            ['read_back' => '60 GB', 'bad' => [['echoes', '0 GB', '60 GB', '31.97 GB']], 'stopped' => true],
            VerdictKind::Sham,
        ];
        yield 'its first lap stays' => [['bad' => [['echoes', '32 GB', '95.87 GB', '32 GB']]], VerdictKind::Sham];
        yield 'nothing kept from an address to the end' => [['bad' => [['blank', '60 GB', '67.87 GB']]], VerdictKind::Sham];
        yield 'spoilt from an address to the end' => [['bad' => [['scrambled', '60 GB', '67.87 GB']]], VerdictKind::Sham];
        yield 'an earlier run still there, to the end' => [['bad' => [['stale', '60 GB', '67.87 GB']]], VerdictKind::Sham];
        yield 'not kept up to where it was read' => [
            ['read_back' => '70 GB', 'bad' => [['blank', '60 GB', '10 GB']], 'stopped' => true],
            VerdictKind::Shaky,
        ];
        yield 'not kept up to the end of a part' => [
            ['written' => '1 GB', 'read_back' => '1 GB', 'bad' => [['blank', '0.5 GB', '0.5 GB']]],
            VerdictKind::Shaky,
        ];
        yield 'a bad patch amid good ones' => [['bad' => [['blank', '60 GB', '3 GB']]], VerdictKind::Shaky];
        yield '141 MB of it, scattered' => [
            ['bad' => [['scrambled', '1 GB', '70 MB'], ['scrambled', '90 GB', '71 MB']]],
            VerdictKind::Shaky,
        ];
        // Errors convict nobody.
        yield 'errors from an address to the end' => [['bad' => [['unreadable', '60 GB', '67.87 GB']]], VerdictKind::Shaky];
        yield 'writing refused from an address on' => [
            ['written' => '60 GB', 'read_back' => '60 GB', 'refused' => ['write', '60 GB']],
            VerdictKind::Shaky,
        ];
        yield 'reading refused from an address on' => [
            ['read_back' => '60 GB', 'refused' => ['read', '60 GB'], 'stopped' => true],
            VerdictKind::Shaky,
        ];
        yield 'refused behind a fake’s mark' => [
            [
                'written' => '60 GB',
                'read_back' => '60 GB',
                'refused' => ['write', '60 GB'],
                'bad' => [['echoes', '0 GB', '45 GB', '15 GB']],
            ],
            VerdictKind::Sham,
        ];
    }

    /** @param  array<string, mixed>  $different */
    #[DataProvider('proofs')]
    public function test_what_a_proof_says_of_capacity(array $different, VerdictKind $expected): void
    {
        self::assertOn(Topic::Capacity, $expected, self::judged(self::V60, [self::proof(more: $different)]));
    }

    /**
     * @return iterable<string, array{list<array{string, string|null, bool}>, VerdictKind}> where it ended, on which day,
     * whether it was out before
     */
    public static function ends(): iterable
    {
        yield 'twice, taken out in between' => [[['60 GB', '2026-11-01', false], ['60 GB', '2026-11-02', true]], VerdictKind::Sham];
        yield 'told the other way round' => [[['60 GB', '2026-11-02', true], ['60 GB', '2026-11-01', false]], VerdictKind::Sham];
        yield 'within a hundredth' => [[['60 GB', '2026-11-01', false], ['60.5 GB', '2026-11-02', true]], VerdictKind::Sham];
        yield 'further apart' => [[['60 GB', '2026-11-01', false], ['60.7 GB', '2026-11-02', true]], VerdictKind::Shaky];
        yield 'it stayed in' => [[['60 GB', '2026-11-01', false], ['60 GB', '2026-11-02', false]], VerdictKind::Shaky];
        yield 'out before the first only' => [[['60 GB', '2026-11-01', true], ['60 GB', '2026-11-02', false]], VerdictKind::Shaky];
        yield 'out before the third' => [
            [['60 GB', '2026-11-01', false], ['90 GB', '2026-11-02', true], ['60 GB', '2026-11-03', false]],
            VerdictKind::Sham,
        ];
        yield 'nobody told the days' => [[['60 GB', null, false], ['60.1 GB', null, true]], VerdictKind::Sham];
    }

    /** @param  list<array{string, string|null, bool}>  $ends */
    #[DataProvider('ends')]
    public function test_the_same_end_twice_is_where_its_memory_ends(array $ends, VerdictKind $expected): void
    {
        $runs = array_map(
            fn (array $end): array => self::proof(
                more: [
                    'written' => $end[0],
                    'read_back' => $end[0],
                    'refused' => ['write', $end[0]],
                    'reinserted' => $end[2],
                    ...$end[1] === null ? [] : ['on' => $end[1]],
                ],
            ),
            $ends,
        );
        self::assertVerdict($expected, self::judged(self::V60, $runs));
    }

    public function test_what_ended_in_errors_is_to_be_proven_again(): void
    {
        $refused = self::proof(more: ['written' => '60 GB', 'read_back' => '60 GB', 'refused' => ['write', '60 GB']]);
        self::assertSame(Step::ProveAgain, self::judged(self::V60, [$refused])->next);
        // A bad block once seen stays seen.
        self::assertVerdict(VerdictKind::Shaky, self::judged(self::V60, [$refused, self::proof(more: ['on' => '2026-11-03'])]));
        self::assertSame(Step::SetAside, self::judged(self::V60, [self::proof(more: ['bad' => [['scrambled', '1 GB', '1 MB']]])])->next);
    }

    public function test_what_the_medium_says_itself_counts_beside_its_label(): void
    {
        $proof = self::proof(
            more: ['shows' => '64 GB', 'written' => '64 GB', 'read_back' => '64 GB', 'bad' => [['echoes', '0 GB', '32 GB', '32 GB']]],
        );
        $reason = self::assertSays('capacity-starts-over', self::judged('32GB SDHC I U1 90MB/s read', [$proof]));
        self::assertStringContainsString('Keeps 32 GB of the 64 GB that it shows; its label says 32 GB.', $reason->sentence());
    }

    public function test_a_medium_that_holds_more_than_its_label_is_doubted_and_proven(): void
    {
        $verdict = self::judged('64GB SDXC I U3 V30', [
            self::proof(more: ['chain' => self::ORDINARY, 'course' => [['127.87 GB', '80 MB/s']], 'read' => '90 MB/s']),
        ]);
        self::assertVerdict(VerdictKind::Sound, $verdict);
        self::assertSays('shows-more', $verdict);
    }

    public function test_a_screen_proves_places_and_a_fake_found_by_it_is_one(): void
    {
        $screen = fn (array $bad): array => [
            'kind' => 'screen',
            'mode' => 'raw',
            'chain' => self::GOOD,
            'shows' => '127.87 GB',
            'points' => 256,
            'bad' => $bad,
        ];
        self::assertOn(Topic::Capacity, VerdictKind::Unproven, self::judged(self::V60, [$screen([])]));
        self::assertOn(Topic::Capacity, VerdictKind::Sham, self::judged(self::V60, [$screen([['blank', '60 GB', '67.87 GB']])]));
        self::assertOn(Topic::Capacity, VerdictKind::Shaky, self::judged(self::V60, [$screen([['unreadable', '60 GB', '67.87 GB']])]));
        self::assertOn(
            Topic::Capacity,
            VerdictKind::Sham,
            self::judged(self::V60, [['kind' => 'screen', 'shows' => '116 GB', 'points' => 64, 'bad' => []]]),
        );
    }

    public function test_over_the_whole_card_is_said_of_the_whole_card_only(): void
    {
        $part = self::judged(self::V60, [
            self::proof(more: ['written' => '1.3 GB', 'read_back' => '0 GB', 'course' => [['1.3 GB', '44 MB/s']], 'stopped' => true]),
        ]);
        foreach ($part->reasons as $reason) {
            self::assertStringNotContainsString('whole card', $reason->sentence().$reason->evidence);
        }
        self::assertOn(Topic::SpeedClass, VerdictKind::Unproven, $part);
    }
}
