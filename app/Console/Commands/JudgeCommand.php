<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Evidence\CardEvidence;
use App\Models\Cards\Card;
use App\SecondOpinion\NotAnOpinion;
use App\SecondOpinion\OpinionFile;
use Illuminate\Console\Command;
use Illuminate\Database\QueryException;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Tally\CaseFile\CaseOfCard;
use Tally\Value\Values;
use Tally\Verdict\Judge;
use Tally\Verdict\Verdict;

/** Exit codes: 0 judged, 1 a case differs from what is expected of it, 2 could not be judged. */
final class JudgeCommand extends Command
{
    protected $signature = 'tally:judge
        {file? : A case, a list of cases (docs/case.schema.json), or a result file; read without the database}
        {--all : Derive the verdict of every card in the books anew, and say what changed and why}
        {--json : Print the answer as JSON}';

    protected $description = 'A second opinion on figures from anywhere; or judge every card of the house again';

    public function handle(): int
    {
        $path = $this->argument('file');
        $isAll = $this->option('all') === true;
        if ($isAll === is_string($path)) {
            return $this->refuse(
                $isAll
                    ? '--all judges the cards of this house: leave the file out, or --all.'
                    : 'Give a file: a case, a list of cases, or a result file. Or say --all for every card of this house.',
            );
        }
        try {
            return $isAll ? $this->all() : $this->opinion((string) $path);
        } catch (NotAnOpinion $fault) {
            return $this->refuse($fault->getMessage());
        }
    }

    private function opinion(string $path): int
    {
        $json = is_file($path) ? @file_get_contents($path) : false;
        if ($json === false) {
            return $this->refuse("“{$path}” is no file that can be read. Give the path of a case, a list of cases, or a result file.");
        }
        $file = OpinionFile::read($json);
        $verdicts = array_map(fn (CaseOfCard $case): Verdict => Judge::judge($case->evidence), $file->cases);
        if ($this->option('json') === true) {
            $answers = $verdicts;
            $this->output->writeln(
                json_encode($file->isList ? $answers : $answers[0], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
                OutputInterface::OUTPUT_RAW,
            );
        }
        $differ = 0;
        foreach ($file->cases as $i => $case) {
            $found = $case->expects?->differences($verdicts[$i]) ?? [];
            $differ += $found === [] ? 0 : 1;
            if ($this->option('json') !== true && ($case->expects === null || ! $file->isList)) {
                $this->tell($case, $verdicts[$i]);
            }
            if ($found !== []) {
                $this->say(
                    ($case->name === '' ? 'case '.($i + 1) : $case->name).
                        ': '.
                        implode('; ', $found).
                        ($case->because === '' ? '' : " ({$case->because})"),
                    $this->option('json') === true,
                );
            }
        }
        $expected = count(array_filter($file->cases, fn (CaseOfCard $case): bool => $case->expects !== null));
        if ($expected > 0 && $this->option('json') !== true) {
            $this->line($expected - $differ." of {$expected} as expected.");
        }

        return $differ === 0 ? 0 : 1;
    }

    private function tell(CaseOfCard $case, Verdict $verdict): void
    {
        $this->line(($case->name === '' ? '' : "{$case->name}: ")."{$verdict->kind->value}. Next: {$verdict->next->words()}.");
        foreach ($verdict->reasons as $reason) {
            $this->line(sprintf('  %-9s %s (%s)', $reason->bearing->value ?? '', $reason->sentence(), $reason->evidence));
        }
        foreach ($verdict->notes as $note) {
            $this->line("  note      {$note->sentence()} ({$note->evidence})");
        }
    }

    private function all(): int
    {
        $changed = [];
        $count = 0;
        try {
            Card::query()
                ->orderBy('id')
                ->lazyById()
                ->each(function (Card $card) use (&$changed, &$count): void {
                    $before = $card->verdict;
                    $verdict = CardEvidence::refresh($card);
                    $count++;
                    if ($verdict->kind !== $before) {
                        $changed[] = ['card' => $card->tag, 'before' => $before->value, ...Values::write($verdict)];
                        if ($this->option('json') !== true) {
                            $this->line(
                                "{$card->tag}  {$before->value} → {$verdict->kind->value}: ".
                                    "{$verdict->reasons[0]->sentence()} ({$verdict->reasons[0]->evidence})",
                            );
                        }
                    }
                });
        } catch (QueryException) {
            return $this->refuse('--all needs the database, which does not answer. Start it with ./start.');
        }
        $this->option('json') === true
            ? $this->output->writeln(
                json_encode(
                    ['cards' => $count, 'changed' => $changed],
                    JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
                ),
                OutputInterface::OUTPUT_RAW,
            )
            : $this->line("{$count} cards judged, ".count($changed).' changed.');

        return 0;
    }

    private function refuse(string $sentence): int
    {
        $this->say($sentence, true);

        return 2;
    }

    /** @param  bool  $isBeside  whether it goes beside the answer, where it spoils nothing */
    private function say(string $sentence, bool $isBeside): void
    {
        $output = $this->output->getOutput();
        ($isBeside && $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output)->writeln(
            $sentence,
            OutputInterface::OUTPUT_RAW,
        );
    }
}
