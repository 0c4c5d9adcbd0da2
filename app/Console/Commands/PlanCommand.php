<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use InvalidArgumentException;
use Tally\Offload\Plan;
use Tally\Offload\PlanFile;
use Tally\Offload\Question\Goal;
use Tally\Quantity\Span;
use Tally\Record\NotUsable;

/** Exit codes: 0 all is planned, 1 something cannot be planned, 2 the question cannot be used. */
final class PlanCommand extends Command
{
    private const MOST_SECONDS = 60.0;

    protected $signature = 'tally:plan
        {file : A plan file: gear, cards and rules}
        {--goal= : safe (all safe soonest), free (cards free soonest) or hands (least hands)}
        {--seconds=0.15 : How long to search, about}
        {--partly : Plan what can be planned where not all of it can}
        {--json : As JSON}';

    protected $description = 'Plan how cards come home: which slot, which drives, in which order, and when all of it is safe';

    public function handle(): int
    {
        try {
            $file = $this->read();
            $plan = Plan::of($file->question, $this->goal() ?? $file->goal ?? Goal::Safe, $this->seconds());
        } catch (NotUsable|InvalidArgumentException $fault) {
            $this->complain($fault->getMessage());

            return 2;
        }
        foreach ($plan->leftOut as $one) {
            $this->complain($one->sentence);
        }
        if ($plan->leftOut !== [] && ($this->option('partly') !== true || $plan->decision->cards === [])) {
            return self::FAILURE;
        }
        $this->option('json') === true
            ? $this->line(json_encode($plan->pack(), JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE))
            : $this->say($plan);

        return $plan->leftOut === [] ? self::SUCCESS : self::FAILURE;
    }

    /** @throws NotUsable|InvalidArgumentException */
    private function read(): PlanFile
    {
        $path = $this->argument('file');
        $json = @file_get_contents($path);

        return $json === false
            ? throw new InvalidArgumentException("“{$path}” is no file that can be read. Give a plan file.")
            : PlanFile::read($json);
    }

    /** @throws InvalidArgumentException */
    private function goal(): ?Goal
    {
        $goal = $this->option('goal');

        return $goal === null
            ? null
            : Goal::tryFrom($goal) ?? throw new InvalidArgumentException("“{$goal}” is no goal. Give safe, free or hands.");
    }

    /** @throws InvalidArgumentException */
    private function seconds(): float
    {
        $given = $this->option('seconds');

        return is_numeric($given) && (float) $given > 0 && (float) $given <= self::MOST_SECONDS
            ? (float) $given
            : throw new InvalidArgumentException("“{$given}” is no time to search. Give seconds, up to 60.");
    }

    private function say(Plan $plan): void
    {
        $time = fn (?float $seconds): string => $seconds === null ? 'never' : Span::seconds($seconds)->print();
        $course = $plan->course;
        $this->line(
            "{$plan->goal->words()}: done after {$time($course->done)}, cards free after {$time($course->allFree())}, hands needed ".
                ($course->hands === 1 ? 'once' : "{$course->hands} times").
                ". No plan is done before {$time($plan->bound)}.",
        );
        foreach ($plan->decision->links as $thing => $port) {
            $this->line("{$thing} into {$port}");
        }
        $this->table(
            ['card', 'slot', '', 'onto', 'how', 'in', 'free', 'may be cleared'],
            array_map(
                fn (int $at): array => [
                    $plan->decision->cards[$at]->tag,
                    $plan->decision->cards[$at]->slot,
                    $plan->decision->cards[$at]->order,
                    implode(', ', $plan->decision->cards[$at]->drives),
                    $plan->decision->cards[$at]->scheme->value,
                    $time($course->in[$at] ?? null),
                    $time($course->free[$at] ?? null),
                    $time($course->clear[$at] ?? null),
                ],
                array_keys($plan->decision->cards),
            ),
        );
    }

    private function complain(string $sentence): void
    {
        $this->output->getErrorStyle()->writeln($sentence);
    }
}
