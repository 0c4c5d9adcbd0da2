<?php

declare(strict_types=1);

namespace Tests\Core\Simulated;

use Opis\JsonSchema\Validator;
use PHPUnit\Framework\TestCase;
use Tally\CaseFile\CaseReader;
use Tally\Quantity\Bytes;
use Tools\MadeUp\CardOnPaper;

/** Made-up cards of a known kind: what the verdicts are measured with must itself be right. */
final class CardOnPaperTest extends TestCase
{
    public function test_a_seed_always_gives_the_same_card(): void
    {
        self::assertSame(CardOnPaper::seeded(7)->case, CardOnPaper::seeded(7)->case);
        self::assertNotSame(CardOnPaper::seeded(7)->case, CardOnPaper::seeded(8)->case);
    }

    public function test_every_kind_comes_up_and_each_is_a_case_that_can_be_read(): void
    {
        $schema = (string) file_get_contents(dirname(__DIR__, 3).'/docs/case.schema.json');
        $kinds = [];
        foreach (range(1, 150) as $seed) {
            $card = CardOnPaper::seeded($seed);
            $kinds[$card->kind] = ($kinds[$card->kind] ?? 0) + 1;
            CaseReader::read($card->case);
            self::assertTrue(
                (new Validator())->validate(json_decode((string) json_encode($card->case)), $schema)->isValid(),
                "seed {$seed}",
            );
        }
        self::assertEqualsCanonicalizing(array_keys(CardOnPaper::KINDS), array_keys($kinds));
        self::assertGreaterThan($kinds['ill'], $kinds['honest']);
    }

    public function test_proofs_stopped_runs_and_chains_that_nobody_named_are_among_them(): void
    {
        $found = ['part' => 0, 'whole' => 0, 'unnamed' => 0, 'camera' => 0, 'errors' => 0];
        foreach (range(1, 400) as $seed) {
            foreach ((array) (CardOnPaper::seeded($seed)->case['runs'] ?? []) as $run) {
                $found['unnamed'] += data_get($run, 'chain') === null ? 1 : 0;
                $found['camera'] += data_get($run, 'chain.camera') === true ? 1 : 0;
                $found['errors'] += data_get($run, 'refused') === null ? 0 : 1;
                if (data_get($run, 'kind') === 'proof') {
                    [$read, $shows] = [Bytes::fromJson(data_get($run, 'read_back')), Bytes::fromJson(data_get($run, 'shows'))];
                    $found[$read->count < $shows->count ? 'part' : 'whole']++;
                }
            }
        }
        foreach ($found as $what => $count) {
            self::assertGreaterThan(5, $count, $what);
        }
    }
}
