<?php

declare(strict_types=1);

namespace Tests\Core\Verdict;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Verdict\Reason;
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
        yield 'an earlier run still there, to the end' => [['bad' => [['stale', '60 GB', '67.87 GB']]], VerdictKind::Shaky];
        yield 'not kept up to where it was read' => [
            ['read_back' => '70 GB', 'bad' => [['blank', '60 GB', '10 GB']], 'stopped' => true],
            VerdictKind::Shaky,
        ];
        yield 'not kept up to the end of a part' => [
            ['written' => '1 GB', 'read_back' => '1 GB', 'bad' => [['blank', '0.5 GB', '0.5 GB']]],
            VerdictKind::Shaky,
        ];
        // It keeps something and pretends more: not nothing, and not nearly all.
        yield 'nothing kept at all' => [['bad' => [['blank', '0 GB', '127.87 GB']]], VerdictKind::Shaky];
        yield 'old data everywhere' => [['bad' => [['stale', '0 GB', '127.87 GB']]], VerdictKind::Shaky];
        yield 'a tail under 7 %' => [['bad' => [['blank', '120 GB', '7.87 GB']]], VerdictKind::Shaky];
        yield 'a tail over 7 %' => [['bad' => [['blank', '118 GB', '9.87 GB']]], VerdictKind::Sham];
        yield 'refused from the first byte' => [
            ['written' => '0 B', 'read_back' => '0 B', 'course' => [], 'refused' => ['write', '0 B']],
            VerdictKind::Shaky,
        ];
        yield '0 B shown' => [['shows' => '0 B', 'written' => '0 B', 'read_back' => '0 B', 'course' => []], VerdictKind::Shaky];
        yield 'blank behind errors' => [
            ['bad' => [['unreadable', '60 GB', '1 GB'], ['blank', '61 GB', '66.87 GB']]],
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
        yield 'refused first, and blank from there' => [
            ['refused' => ['read', '60 GB'], 'bad' => [['blank', '60 GB', '67.87 GB']]],
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

    /** @return iterable<string, array{list<array{string, string, string}>, VerdictKind}> where it ended, in which reader, mode */
    public static function ends(): iterable
    {
        yield 'in two readers' => [[['60 GB', 'R2', 'raw'], ['60 GB', 'R8', 'raw']], VerdictKind::Sham];
        yield 'within a hundredth' => [[['60 GB', 'R2', 'raw'], ['60.5 GB', 'R8', 'raw']], VerdictKind::Sham];
        yield 'further apart' => [[['60 GB', 'R2', 'raw'], ['60.7 GB', 'R8', 'raw']], VerdictKind::Shaky];
        yield 'in one reader: heat or power' => [[['60 GB', 'R2', 'raw'], ['60 GB', 'R2', 'raw']], VerdictKind::Shaky];
        yield 'another between' => [[['60 GB', 'R2', 'raw'], ['90 GB', 'R2', 'raw'], ['60 GB', 'R8', 'raw']], VerdictKind::Sham];
        yield 'within files' => [[['60 GB', 'R2', 'folder'], ['60 GB', 'R8', 'folder']], VerdictKind::Shaky];
        yield 'from the first byte' => [[['0 B', 'R2', 'raw'], ['0 B', 'R8', 'raw']], VerdictKind::Shaky];
        yield 'nearly at its end' => [[['120 GB', 'R2', 'raw'], ['120 GB', 'R8', 'raw']], VerdictKind::Shaky];
        yield 'whole in a third one' => [[['60 GB', 'R2', 'raw'], ['60 GB', 'R8', 'raw'], ['127.87 GB', 'R9', 'raw']], VerdictKind::Shaky];
    }

    /** @param  list<array{string, string, string}>  $ends */
    #[DataProvider('ends')]
    public function test_the_same_end_in_two_readers_is_where_its_memory_ends(array $ends, VerdictKind $expected): void
    {
        $runs = array_map(
            fn (array $end): array => self::proof(
                more: [
                    'written' => $end[0],
                    'read_back' => $end[0],
                    'mode' => $end[2],
                    'chain' => [...self::GOOD, 'reader' => $end[1]],
                    'course' => $end[0] === '0 B' ? [] : [[$end[0], '121 MB/s']],
                    ...$end[0] === '127.87 GB' ? [] : ['refused' => ['write', $end[0]], 'reinserted' => true],
                ],
            ),
            $ends,
        );
        self::assertVerdict($expected, self::judged(self::V60, $runs));
    }

    /** @return iterable<string, array{array<string, mixed>, string, VerdictKind, string}> what else was found, when, and what is said */
    public static function beside(): iterable
    {
        $half = ['shows' => '63 GB', 'written' => '63 GB', 'read_back' => '63 GB', 'course' => [['63 GB', '121 MB/s']]];
        yield 'shows less since' => [$half, '2026-11-03', VerdictKind::Shaky, 'hold serial and photo'];
        yield 'drops the rest since' => [['bad' => [['blank', '60 GB', '67.87 GB']]], '2026-11-03', VerdictKind::Shaky, 'is failing'];
        yield 'dropped it before' => [['bad' => [['blank', '60 GB', '67.87 GB']]], '2026-11-01', VerdictKind::Shaky, 'now and then'];
        yield 'started over before' => [['bad' => [['echoes', '0 GB', '95.9 GB', '31.97 GB']]], '2026-11-01', VerdictKind::Shaky, ''];
        yield 'starts over since: swapped' => [['bad' => [['echoes', '0 GB', '95.9 GB', '31.97 GB']]], '2026-11-03', VerdictKind::Sham, ''];
    }

    /** @param  array<string, mixed>  $other */
    #[DataProvider('beside')]
    public function test_a_whole_proof_stands_for_the_memory(array $other, string $on, VerdictKind $expected, string $says): void
    {
        $verdict = self::judged(self::V60, [self::proof(more: ['on' => '2026-11-02']), self::proof(more: [...$other, 'on' => $on])]);
        self::assertVerdict($expected, $verdict);
        self::assertStringContainsString($says, implode(' ', array_map(fn (Reason $one): string => $one->sentence(), $verdict->reasons)));
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
