<?php

declare(strict_types=1);

namespace Tests\Core\Verdict;

use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\CaseFile\CaseReader;
use Tally\Verdict\Judge;

/** The worked cases: what an expert says of each, and why. House rules of the handbook, § 6. */
final class CasesTest extends TestCase
{
    /** @return list<array<mixed>> */
    private static function cases(): array
    {
        $cases = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/cases/verdicts.json'), true);

        return is_array($cases) ? array_values(array_filter($cases, is_array(...))) : [];
    }

    /** @return iterable<string, array{array<mixed>}> */
    public static function worked(): iterable
    {
        foreach (self::cases() as $case) {
            yield is_string($case['name'] ?? null) ? $case['name'] : 'nameless' => [$case];
        }
    }

    /** @param  array<mixed>  $case */
    #[DataProvider('worked')]
    public function test_an_expert_would_sign_it(array $case): void
    {
        $read = CaseReader::read($case);
        self::assertNotNull($read->expects);
        self::assertSame([], $read->expects->differences(Judge::judge($read->evidence)), $read->because);
    }

    public function test_there_are_as_many_as_there_were(): void
    {
        self::assertCount(64, self::cases());
    }

    public function test_they_are_as_the_schema_says_and_so_is_the_example(): void
    {
        $docs = dirname(__DIR__, 3).'/docs';
        $schema = (string) file_get_contents("{$docs}/case.schema.json");
        foreach ([dirname(__DIR__, 2).'/cases/verdicts.json', "{$docs}/examples/case.json"] as $file) {
            self::assertTrue((new Validator())->validate(json_decode((string) file_get_contents($file)), $schema)->isValid(), $file);
        }
        $wrong = json_decode('{"format":"gritty-tally-case","version":1,"label":"x","runs":[{"kind":"guess"}]}');
        self::assertFalse((new Validator())->validate($wrong, $schema)->isValid());
    }

    public function test_what_is_said_and_how_it_is_known_stands_with_every_reason(): void
    {
        foreach (self::cases() as $case) {
            $verdict = Judge::judge(CaseReader::read($case)->evidence);
            foreach ($verdict->reasons as $reason) {
                self::assertNotSame('', $reason->sentence());
                self::assertNotSame('', $reason->evidence);
                self::assertNotNull($reason->bearing);
            }
            $carrying = $verdict->reasons[0]->bearing;
            self::assertSame($verdict->kind, $carrying, 'what carries the verdict comes first');
        }
    }
}
