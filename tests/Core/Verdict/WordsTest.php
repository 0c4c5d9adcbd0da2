<?php

declare(strict_types=1);

namespace Tests\Core\Verdict;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\CaseFile\CaseReader;
use Tally\Evidence\ProofEvidence;
use Tally\Record\ProofRecord;
use Tally\Verdict\Judge;
use Tally\Verdict\Reason;
use Tally\Verdict\ReasonId;
use Tally\Verdict\Topic;
use Tally\Verdict\Verdict;
use Tally\Verdict\VerdictKind;
use Tests\Support\HoldsClaims;
use Tests\Support\JudgesCases;
use Tools\MadeUp\CardOnPaper;

/** What is written says what was done: every kind of result through every sentence, and the claims against the figures. § 6 rule 14. */
final class WordsTest extends TestCase
{
    use HoldsClaims;
    use JudgesCases;

    /** @return iterable<string, array{array<string, mixed>}> a proof of each kind of result, on a card of 127.87 GB */
    public static function results(): iterable
    {
        yield 'whole' => [[]];
        yield 'a part' => [['written' => '200 MB', 'read_back' => '200 MB', 'course' => [['200 MB', '121 MB/s']]]];
        yield 'in a folder' => [['mode' => 'folder', 'shows' => '60 GB', 'written' => '60 GB', 'read_back' => '60 GB']];
        yield 'starts over' => [['bad' => [['echoes', '0 GB', '95.9 GB', '31.97 GB']]]];
        yield 'drops' => [['bad' => [['blank', '60 GB', '67.87 GB']]]];
        yield 'spoils' => [['bad' => [['scrambled', '60 GB', '67.87 GB']]]];
        yield 'a tail lost' => [['bad' => [['blank', '121 GB', '6.87 GB']]]];
        yield 'nothing kept' => [['bad' => [['blank', '0 GB', '127.87 GB']]]];
        yield 'old data' => [['bad' => [['stale', '40 GB', '87.87 GB']]]];
        yield 'errors to the end' => [['bad' => [['unreadable', '114 GB', '13.87 GB']]]];
        yield 'errors in places' => [['bad' => [['unreadable', '60 GB', '4096 B']]]];
        yield 'wrong in places' => [['bad' => [['scrambled', '60 GB', '20 MB']]]];
        yield 'wrong and errors' => [['bad' => [['scrambled', '60 GB', '20 MB'], ['unreadable', '70 GB', '13 MB']]]];
        yield 'blank behind errors' => [['bad' => [['unreadable', '60 GB', '1 GB'], ['blank', '61 GB', '66.87 GB']]]];
        yield 'refused' => [['written' => '60 GB', 'read_back' => '60 GB', 'refused' => ['write', '60 GB']]];
        yield 'refused at once' => [['written' => '0 B', 'read_back' => '0 B', 'course' => [], 'refused' => ['write', '0 B']]];
        yield 'stopped before reading' => [
            ['written' => '9 GB', 'read_back' => '0 B', 'course' => [['9 GB', '121 MB/s']], 'stopped' => true],
        ];
        yield 'shows less' => [['shows' => '63 GB', 'written' => '63 GB', 'read_back' => '63 GB', 'course' => [['63 GB', '121 MB/s']]]];
        yield 'shows nothing' => [['shows' => '0 B', 'written' => '0 B', 'read_back' => '0 B', 'course' => []]];
    }

    /** @param  array<string, mixed>  $result */
    #[DataProvider('results')]
    public function test_each_sentence_claims_what_was_done(array $result): void
    {
        $evidence = self::evidence(self::V60, [self::proof(more: $result)]);
        $record = $evidence->proofs[0]->record;
        $verdict = Judge::judge($evidence);
        $said = [...self::sentences($verdict), $record->proves(), ...$record->leavesOpen(), $evidence->proofs[0]->describe()];
        self::assertHonest($verdict, $record, $said);
    }

    public function test_made_up_cards_of_all_kinds_are_told_as_they_are(): void
    {
        for ($seed = 40_000_000; $seed < 40_000_400; $seed++) {
            $evidence = CaseReader::read(CardOnPaper::seeded($seed)->case)->evidence;
            $verdict = Judge::judge($evidence);
            $whole = array_filter($evidence->proofs, fn (ProofEvidence $one): bool => $one->record->isProvenWhole());
            foreach (self::sentences($verdict) as $sentence) {
                self::assertStringNotContainsString('fake', $sentence, "seed {$seed}");
                if (str_contains($sentence, 'Every block was written')) {
                    self::assertNotSame([], $whole, "seed {$seed}");
                }
            }
            foreach ($evidence->proofs as $proof) {
                self::assertFigures($proof->record, [$proof->describe(), $proof->record->proves()]);
            }
        }
    }

    public function test_every_reason_there_is_has_words_and_bears_something_or_nothing(): void
    {
        $met = [];
        foreach (self::results() as [$result]) {
            foreach (self::judged(self::V60, [self::proof(more: $result)])->reasons as $reason) {
                $met[$reason->id()] = true;
            }
        }
        $ofCapacity = array_filter(ReasonId::cases(), fn (ReasonId $id): bool => str_starts_with($id->value, 'capacity-'));
        // Two proofs, a screen, a host that forgets nothing, a map of laps and binary units are met elsewhere.
        $others = ['capacity-same-end-twice', 'capacity-not-any-more', 'capacity-screened', 'capacity-not-forgotten', 'capacity-shared',
            'capacity-units', 'capacity-not-proven', 'capacity-shows-less'];
        foreach ($ofCapacity as $id) {
            self::assertTrue(isset($met[$id->value]) || in_array($id->value, $others, true), $id->value);
        }
    }

    /** @return list<string> */
    private static function sentences(Verdict $verdict): array
    {
        return array_map(fn (Reason $reason): string => $reason->sentence(), [...$verdict->reasons, ...$verdict->notes]);
    }

    /** @param  list<string>  $said */
    private static function assertHonest(Verdict $verdict, ProofRecord $record, array $said): void
    {
        $all = implode(' ', $said);
        $isWhole = $record->isProvenWhole();
        // A card found faulty is nowhere called a fake, and a silent loss is nowhere said to be none.
        self::assertStringNotContainsString('fake', $all);
        self::assertStringNotContainsString('not a false size', $all);
        if (str_contains($all, 'Every block was written')) {
            self::assertTrue($isWhole, $all);
        }
        if ($verdict->on(Topic::Capacity) === VerdictKind::Shaky) {
            self::assertMatchesRegularExpression('/reader|lock tab|Do not use|take|serial/', $all, 'what to try next');
        }
        self::assertFigures($record, $said);
    }
}
