<?php

declare(strict_types=1);

namespace App\Pages\Practice;

use App\Models\Practice\PracticeRound;
use App\Pages\Page;
use App\Practice\RoundBook;
use Illuminate\Support\Collection;
use Tally\Practice\Level;
use Tally\Practice\Mistake;

/** Where practice begins, and how it went: what is got wrong, ten rounds after ten. */
final readonly class PracticePage extends Page
{
    private const BLOCK = 10;

    private const SHOWN = 20;

    /**
     * @param  list<PracticeLevelProps>  $levels
     * @param  list<MistakeProps>  $mistakes  what was got wrong at all
     * @param  list<PracticeRoundProps>  $rounds  the newest first
     * @param  int|null  $open  a round that was not called yet
     * @param  string  $person  who is at the bench, as far as known
     */
    public function __construct(
        public array $levels,
        public array $mistakes,
        public array $rounds,
        public ?int $open,
        public string $person,
    ) {}

    public static function of(string $person): self
    {
        $rounds = RoundBook::called($person)->toBase();
        $open = PracticeRound::query()->where('person', $person)->whereNull('called_at')->latest('id')->first();

        return new self(
            array_map(fn (Level $level): PracticeLevelProps => self::level($level, $rounds), Level::cases()),
            self::mistakes($rounds),
            array_values($rounds->take(self::SHOWN)->map(self::round(...))->all()),
            $open?->id,
            $person,
        );
    }

    /** @param  Collection<int, PracticeRound>  $rounds */
    private static function level(Level $level, Collection $rounds): PracticeLevelProps
    {
        $of = $rounds->filter(fn (PracticeRound $round): bool => $round->level === $level);

        return new PracticeLevelProps(
            $level->value,
            $level->words(),
            $of->count(),
            $of->filter(fn (PracticeRound $round): bool => $round->isRight())->count(),
        );
    }

    /**
     * @param  Collection<int, PracticeRound>  $rounds  the newest first
     * @return list<MistakeProps> what came most, first
     */
    private static function mistakes(Collection $rounds): array
    {
        $blocks = $rounds->reverse()->values()->chunk(self::BLOCK);
        $all = array_map(function (Mistake $mistake) use ($blocks): MistakeProps {
            $is = fn (PracticeRound $round): bool => in_array($mistake, $round->mistaken(), true);
            $counts = array_values($blocks->map(fn (Collection $block): int => $block->filter($is)->count())->all());

            return new MistakeProps($mistake->words(), array_sum($counts), $counts);
        }, Mistake::cases());
        usort($all, fn (MistakeProps $a, MistakeProps $b): int => $b->count <=> $a->count);

        return array_values(array_filter($all, fn (MistakeProps $one): bool => $one->count > 0));
    }

    private static function round(PracticeRound $round): PracticeRoundProps
    {
        return new PracticeRoundProps(
            $round->id,
            $round->level->value,
            $round->seed,
            $round->trick->words(),
            implode(', ', array_map(fn (Mistake $one): string => $one->words(), $round->mistaken())),
            $round->began_at->format('j M Y'),
        );
    }
}
