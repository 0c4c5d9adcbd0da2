<?php

declare(strict_types=1);

namespace Tests\Feature;

use Tally\CaseFile\CaseReader;
use Tally\Verdict\Judge;
use Tests\TestCase;
use Tools\Commands\VerdictsBenchCommand;
use Tools\MadeUp\CardOnPaper;

/** The bench of verdicts: a table of what each kind was called, and what must never be. */
final class VerdictsBenchTest extends TestCase
{
    public function test_no_card_is_called_what_it_must_never_be(): void
    {
        $this->command('bench:verdicts', ['--seeds' => 300])
            ->expectsOutputToContain('None was judged as it must never be.')
            ->expectsOutputToContain('some of which were looked at')
            ->assertExitCode(0);
        $this->command('bench:verdicts', ['--seeds' => 300, '--from' => 700_000])
            ->expectsOutputToContain('which nothing was tuned on')
            ->assertExitCode(0);
    }

    public function test_a_wrong_word_would_be_noticed(): void
    {
        $of = function (string $kind, bool $isShown = false): CardOnPaper {
            foreach (range(1, 500) as $seed) {
                $card = CardOnPaper::seeded($seed);
                if ($card->kind === $kind && $card->isShown === $isShown) {
                    return $card;
                }
            }
            self::fail("No {$kind} card.");
        };
        $wholly = fn (array $runs): mixed => Judge::judge(
            CaseReader::read([
                'format' => 'gritty-tally-case',
                'version' => 1,
                'label' => '128GB SDXC II U3 V60 250MB/s read 130MB/s write',
                'runs' => $runs,
            ])->evidence,
        );
        $proof = [
            'kind' => 'proof',
            'chain' => ['reader' => 'R', 'bus' => 'UHS-II', 'link' => 'USB 10 Gb/s'],
            'shows' => '128 GB',
            'written' => '128 GB',
            'read_back' => '128 GB',
            'course' => [['128 GB', '121 MB/s']],
            'read' => '235 MB/s',
        ];
        $sound = $wholly([$proof]);
        $slow = $wholly([[...$proof, 'course' => [['128 GB', '40 MB/s']]]]);
        $sham = $wholly([[...$proof, 'bad' => [['blank', '32 GB', '96 GB']]]]);
        self::assertInstanceOf(\Tally\Verdict\Verdict::class, $sound);
        self::assertInstanceOf(\Tally\Verdict\Verdict::class, $slow);
        self::assertInstanceOf(\Tally\Verdict\Verdict::class, $sham);
        self::assertSame(['Sound', 'Slow', 'Sham'], [$sound->kind->value, $slow->kind->value, $sham->kind->value]);
        $right = fn (CardOnPaper $card): array => array_map(fn ($verdict): bool => VerdictsBenchCommand::isRight($card, $verdict), [
            $sound,
            $slow,
            $sham,
        ]);
        self::assertSame([true, false, false], $right($of('honest')));
        self::assertSame([false, true, false], $right($of('slow', true)));
        self::assertSame([false, true, true], $right($of('sham')));
        self::assertSame([true, true, false], $right($of('ill')));
    }
}
