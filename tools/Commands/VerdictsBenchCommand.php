<?php

declare(strict_types=1);

namespace Tools\Commands;

use Illuminate\Console\Command;
use Tally\CaseFile\CaseReader;
use Tally\Verdict\Judge;
use Tally\Verdict\Verdict;
use Tally\Verdict\VerdictKind;
use Tools\MadeUp\CardOnPaper;

/** How often made-up cards of a known kind are called what. Exit code 1 when one is called what it must never be. */
final class VerdictsBenchCommand extends Command
{
    protected $signature = 'bench:verdicts
        {--seeds=2000 : How many cards}
        {--from=1 : The first seed; 1 to 20000 were looked at while the rules were written, any other has not been}';

    protected $description = 'Judge made-up cards whose truth is known, over random readers, ports, partial proofs and stopped runs';

    /** Seeds that were looked at while the rules were written. */
    private const TUNED_ON = 20000;

    private const SHOWN = 20;

    public function handle(): int
    {
        [$seeds, $from] = array_map(fn (string $name): int => max(1, is_numeric($given = $this->option($name)) ? (int) $given : 1), [
            'seeds',
            'from',
        ]);
        /** @var array<string, array<string, int>> $rows */
        $rows = [];
        $wrong = [];
        for ($seed = $from; $seed < $from + $seeds; $seed++) {
            $card = CardOnPaper::seeded($seed);
            $verdict = Judge::judge(CaseReader::read($card->case)->evidence);
            $row = $card->kind.($card->kind !== 'slow' ? '' : ($card->isShown ? ', shown on a chain that qualifies' : ', not shown'));
            $rows[$row][$verdict->kind->value] = ($rows[$row][$verdict->kind->value] ?? 0) + 1;
            if (! self::isRight($card, $verdict)) {
                $wrong[] = "seed {$seed}, {$row}: called {$verdict->kind->value}: ".
                        "{$verdict->reasons[0]->sentence()} ({$verdict->reasons[0]->evidence})";
            }
        }
        ksort($rows);
        $kinds = array_map(fn (VerdictKind $kind): string => $kind->value, VerdictKind::cases());
        $this->table(
            ['in truth', 'cards', ...$kinds],
            array_map(
                fn (string $row, array $counts): array => [
                    $row,
                    array_sum($counts),
                    ...array_map(fn (string $kind): int => $counts[$kind] ?? 0, $kinds),
                ],
                array_keys($rows),
                $rows,
            ),
        );
        $this->line(
            "Seeds {$from} to ".
                ($from + $seeds - 1).
                ', '.
                ($from > self::TUNED_ON ? 'which nothing was tuned on.' : 'some of which were looked at while the rules were written.'),
        );
        $this->line($wrong === [] ? 'None was judged as it must never be.' : count($wrong).' were judged as they must never be:');
        foreach (array_slice($wrong, 0, self::SHOWN) as $line) {
            $this->line($line);
        }

        return $wrong === [] ? self::SUCCESS : self::FAILURE;
    }

    /** Honest cards are never convicted, fakes never cleared, ill ones never called fakes; a slow one that is shown to be is Slow. */
    public static function isRight(CardOnPaper $card, Verdict $verdict): bool
    {
        return match ($card->kind) {
            'honest' => in_array($verdict->kind, [VerdictKind::Unproven, VerdictKind::Sound], true),
            'slow' => $card->isShown ? $verdict->kind === VerdictKind::Slow : ! $verdict->kind->isStruckOut(),
            'sham' => $verdict->kind !== VerdictKind::Sound,
            default => $verdict->kind !== VerdictKind::Sham,
        };
    }
}
