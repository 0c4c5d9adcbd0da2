<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Cards\Card;
use App\Offload\BooksQuestion;
use Illuminate\Console\Command;
use Illuminate\Support\Collection;
use InvalidArgumentException;
use Tally\Offload\LeftOut;
use Tally\Offload\Plan;
use Tally\Offload\PlanFile;
use Tally\Offload\Question\Goal;
use Tally\Offload\Question\Question;
use Tally\Offload\Question\Rules;
use Tally\Quantity\Span;
use Tally\Value\NotUsable;

/** Exit codes: 0 all is planned, 1 something cannot be planned, 2 the question cannot be used. */
final class PlanCommand extends Command
{
    private const MOST_SECONDS = 60.0;

    private const JSON = JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE;

    protected $signature = 'tally:plan
        {file? : A plan file: gear, cards and rules; without it the kit of the house}
        {--cards= : Tags from the books, such as QS-014,QS-015; without them all cards that carry footage}
        {--goal= : safe (all safe soonest), free (cards free soonest) or hands (least hands)}
        {--seconds=0.15 : How long to search, about}
        {--partly : Plan what can be planned where not all of it can}
        {--json : As JSON}';

    protected $description = 'Plan how cards come home: which slot, which drives, in which order, and when all of it is safe';

    public function handle(): int
    {
        try {
            [$question, $goal, $leftOut] = $this->asked();
            $plan = Plan::of($question, $this->goal() ?? $goal, $this->seconds());
        } catch (NotUsable|InvalidArgumentException $fault) {
            $this->complain($fault->getMessage());

            return 2;
        }
        $leftOut = [...$leftOut, ...$plan->leftOut];
        foreach ($leftOut as $one) {
            $this->complain($one->sentence);
        }
        if ($leftOut !== [] && ($this->option('partly') !== true || $plan->decision->cards === [])) {
            return self::FAILURE;
        }
        $this->option('json') === true
            ? $this->line(json_encode($plan, self::JSON))
            : $this->say($plan);

        return $leftOut === [] ? self::SUCCESS : self::FAILURE;
    }

    /**
     * @return array{Question, Goal, list<LeftOut>}
     *
     * @throws NotUsable|InvalidArgumentException
     */
    private function asked(): array
    {
        $path = $this->argument('file');
        if ($path === null) {
            $books = BooksQuestion::of($this->cards(), new Rules());

            return [$books->question, Goal::Safe, $books->leftOut];
        }
        if ($this->option('cards') !== null) {
            throw new InvalidArgumentException('A plan file names its cards itself: leave --cards out.');
        }
        $json = @file_get_contents($path);
        if ($json === false) {
            throw new InvalidArgumentException("“{$path}” is no file that can be read. Give a plan file.");
        }
        $file = PlanFile::read($json);

        return [$file->question, $file->goal ?? Goal::Safe, []];
    }

    /**
     * @return Collection<int, Card>
     *
     * @throws InvalidArgumentException
     */
    private function cards(): Collection
    {
        $given = $this->option('cards');
        $tags = array_filter(array_map(trim(...), explode(',', strtoupper((string) $given))), fn (string $tag): bool => $tag !== '');
        $cards = Card::query()
            ->when($tags === [], fn ($query) => $query->where('footage', '>', 0), fn ($query) => $query->whereIn('tag', $tags))
            ->orderBy('tag')
            ->get()
            ->toBase();
        $unknown = array_diff($tags, $cards->map(fn (Card $card): string => $card->tag)->all());

        return $unknown === []
            ? $cards
            : throw new InvalidArgumentException('No card is tagged '.implode(', ', $unknown).'. Give tags of the house, such as QS-014.');
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
