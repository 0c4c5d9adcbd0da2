<?php

declare(strict_types=1);

namespace Tests\Property;

use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\TestCase;
use Tally\CaseFile\CaseReader;
use Tally\Value\Values;
use Tally\Verdict\Judge;
use Tally\Verdict\Verdict;
use Tally\Verdict\VerdictKind;
use Tools\MadeUp\CardOnPaper;

/** What no verdict may do, whatever the card and whatever was done to it. */
final class VerdictPropertiesTest extends TestCase
{
    use TestTrait;

    protected function setUp(): void
    {
        $this->seed = 20_261_126;
        $this->limitTo(200);
    }

    /** @param  array<string, mixed>  $case */
    private static function judged(array $case): Verdict
    {
        return Judge::judge(CaseReader::read($case)->evidence);
    }

    /**
     * @param  array<string, mixed>  $case
     * @return list<array<string, mixed>>
     */
    private static function runs(array $case): array
    {
        $runs = [];
        foreach (is_array($case['runs'] ?? null) ? $case['runs'] : [] as $run) {
            $runs[] = array_filter(is_array($run) ? $run : [], is_string(...), ARRAY_FILTER_USE_KEY);
        }

        return $runs;
    }

    /** @param  array<string, mixed>  $case */
    private static function assertNoGraver(Verdict $before, Verdict $after, array $case): void
    {
        self::assertGreaterThanOrEqual(
            $before->kind->rank(),
            $after->kind->rank(),
            "{$before->kind->value} became {$after->kind->value}: ".json_encode($case),
        );
    }

    public function test_the_order_of_runs_changes_nothing(): void
    {
        $this->forAll(Generators::choose(1, 1_000_000), Generators::choose(1, 1_000))->then(function (int $seed, int $mix): void {
            $case = CardOnPaper::seeded($seed)->case;
            $runs = array_map(
                fn (array $run, int $i): array => [...$run, 'name' => "run {$i}"],
                self::runs($case),
                array_keys(self::runs($case)),
            );
            $mixed = $runs;
            mt_srand($mix);
            shuffle($mixed);
            self::assertSame(
                Values::json(self::judged([...$case, 'runs' => $runs])),
                Values::json(self::judged([...$case, 'runs' => $mixed])),
            );
        });
    }

    public function test_a_struck_run_changes_no_reason(): void
    {
        $this->forAll(Generators::choose(1, 1_000_000), Generators::elements('5 GB/s', '9 GB/s', '12000 MB/s'))->then(function (
            int $seed,
            string $tooFast,
        ): void {
            $case = CardOnPaper::seeded($seed)->case;
            $struck = [
                'kind' => 'speed',
                'bytes' => '1 GB',
                'chain' => ['reader' => 'R1', 'bus' => 'UHS-II', 'link' => 'USB 5 Gb/s'],
                'on' => '2026-11-30',
                'write' => [$tooFast, $tooFast, $tooFast],
                'read' => [$tooFast, $tooFast, $tooFast],
            ];
            $reasons = fn (array $runs): mixed => Values::plain(self::judged([...$case, 'runs' => $runs])->reasons);
            self::assertSame($reasons(self::runs($case)), $reasons([...self::runs($case), $struck]));
        });
    }

    public function test_a_slower_chain_never_turns_a_card_slow(): void
    {
        $this->forAll(Generators::choose(1, 1_000_000), Generators::choose(300, 400))->then(function (int $seed, int $tenths): void {
            $case = CardOnPaper::seeded($seed)->case;
            $before = self::judged($case);
            $slower = array_map(fn (array $run): array => self::over($run, $tenths / 10), self::runs($case));
            $after = self::judged([...$case, 'runs' => $slower]);
            self::assertFalse(
                $after->kind === VerdictKind::Slow && $before->kind->rank() > VerdictKind::Slow->rank(),
                'seed '.$seed.': '.$after->reasons[0]->sentence(),
            );
        });
    }

    /**
     * The same run over USB 480 Mb/s, which gives 30 to 40 MB/s in practice.
     *
     * @param  array<string, mixed>  $run
     * @return array<string, mixed>
     */
    private static function over(array $run, float $gives): array
    {
        $slower = fn (mixed $rate): string => min((float) (is_string($rate) ? $rate : 0), $gives).' MB/s';
        if (is_array($run['chain'] ?? null)) {
            $run['chain'] = [...$run['chain'], 'link' => 'USB 480 Mb/s'];
        }
        foreach (['write', 'read'] as $way) {
            if (isset($run[$way])) {
                $run[$way] = is_array($run[$way]) ? array_map($slower, $run[$way]) : $slower($run[$way]);
            }
        }
        if (is_array($run['course'] ?? null)) {
            $run['course'] = array_map(
                fn (mixed $piece): array => is_array($piece) ? [$piece[0] ?? '', $slower($piece[1] ?? '')] : [],
                $run['course'],
            );
        }

        return $run;
    }

    public function test_leaving_bytes_unread_never_makes_sound(): void
    {
        $this->forAll(Generators::choose(1, 1_000_000), Generators::choose(0, 9999))->then(function (int $seed, int $share): void {
            $case = CardOnPaper::seeded($seed)->case;
            $runs = array_map(function (array $run) use ($share): array {
                $read = (float) (is_string($run['read_back'] ?? null) ? $run['read_back'] : 0);

                return ($run['kind'] ?? '') === 'proof' ? [...$run, 'read_back' => sprintf('%.6F GB', ($read * $share) / 10_000)] : $run;
            }, self::runs($case));
            self::assertNotSame(VerdictKind::Sound, self::judged([...$case, 'runs' => $runs])->kind, "seed {$seed}");
        });
    }

    public function test_more_of_the_same_evidence_never_makes_a_verdict_graver(): void
    {
        $this->forAll(Generators::choose(1, 1_000_000), Generators::bool())->then(function (int $seed, bool $isLater): void {
            $case = CardOnPaper::seeded($seed)->case;
            $runs = self::runs($case);
            $again = $isLater ? array_map(fn (array $run): array => [...$run, 'on' => '2026-11-30'], $runs) : $runs;
            self::assertNoGraver(self::judged($case), self::judged([...$case, 'runs' => [...$runs, ...$again]]), $case);
        });
    }

    public function test_made_up_cards_are_never_called_what_they_must_not_be(): void
    {
        // Seeds that the rules were not tuned on.
        $this->forAll(Generators::choose(5_000_000, 9_000_000))->then(function (int $seed): void {
            $card = CardOnPaper::seeded($seed);
            $kind = self::judged($card->case)->kind;
            self::assertTrue(
                match ($card->kind) {
                    'honest' => $kind->rank() >= VerdictKind::Unproven->rank(),
                    'slow' => $card->isShown ? $kind === VerdictKind::Slow : ! $kind->isStruckOut(),
                    'sham' => $kind !== VerdictKind::Sound,
                    default => $kind !== VerdictKind::Sham,
                },
                "seed {$seed}, {$card->kind}: {$kind->value}",
            );
        });
    }
}
