<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Practice\Findings;
use Illuminate\Console\Command;
use Random\Randomizer;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Tally\Practice\Exercise;
use Tally\Practice\Level;
use Tally\Practice\MadeUpReader;
use Tally\Practice\Move;
use Tally\Practice\NextExercise;
use Tally\Practice\Packed;
use Tally\Practice\PracticeSet;
use Tally\Quantity\Span;

/** Exit codes: 0 printed, 2 not understood. */
final class PracticeCommand extends Command
{
    protected $signature = 'tally:practice
        {--seed= : Of the set, so that it can be shared; drawn where it is left out}
        {--level= : 1 to 6; without it, one exercise of each level}
        {--count=6 : How many of that level}
        {--answers : What comes of everything, and the answers}
        {--json : As JSON, with the answers: docs/practice.schema.json}';

    protected $description = 'Made-up cards to learn judging on: what can be done with each, how long it takes, and the shortest way';

    public function handle(): int
    {
        $seed = $this->number('seed', NextExercise::MOST) ?? (new Randomizer())->getInt(1, NextExercise::MOST);
        $level = $this->number('level', count(Level::cases()));
        $count = $this->number('count', PracticeSet::MOST);
        if ($seed === 0 || $level === 0 || $count === 0) {
            return 2;
        }
        $set = PracticeSet::seeded($seed, $level === null ? null : Level::from($level), $count ?? 6);
        if ($this->option('json') === true) {
            $flags = JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES;
            $this->output->writeln(json_encode(Packed::set($set), $flags), OutputInterface::OUTPUT_RAW);

            return 0;
        }
        $this->line("Set {$set->seed}");
        foreach ($set->exercises as $exercise) {
            $this->exercise($exercise);
        }

        return 0;
    }

    private function exercise(Exercise $exercise): void
    {
        $this->newLine();
        $this->line("Level {$exercise->level->value}, {$exercise->level->words()}, seed {$exercise->seed}: {$exercise->card->label}");
        $this->line("  It reads {$exercise->firstFigure()} MB/s over {$exercise->first->name}. At hand: ".
            implode('; ', array_map(fn (MadeUpReader $one): string => $one->describe(), $exercise->readers())).'.');
        foreach ($exercise->moves as $move) {
            $finds = $this->option('answers') === true ? ': '.Findings::of($exercise, $move) : '';
            $this->line("  {$move->words()} (".Span::seconds($move->seconds)->print()."){$finds}");
        }
        if ($this->option('answers') === true) {
            $answer = $exercise->answer();
            $this->line("  {$answer->called->verdict->kind->value}; held by {$answer->called->holds?->words()}; ".
                ($answer->called->capacity === null ? 'how much it keeps makes no difference any more' :
                    "keeps {$answer->called->capacity->decimal()}").". It is {$exercise->card->trick->words()}.");
            $this->line('  Shortest way, '.Span::seconds($answer->seconds())->print().': '.
                implode('; then ', array_map(fn (Move $move): string => $move->words(), $answer->way)).'.');
        }
    }

    /** @return int|null null where it is left out; 0 where it will not do, which is said */
    private function number(string $name, int $most): ?int
    {
        $given = $this->option($name);
        if (! is_string($given)) {
            return null;
        }
        if (ctype_digit($given) && (int) $given >= 1 && (int) $given <= $most) {
            return (int) $given;
        }
        $output = $this->output->getOutput();
        ($output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output)
            ->writeln("--{$name}: “{$given}” will not do. Give a whole number from 1 to {$most}.");

        return 0;
    }
}
