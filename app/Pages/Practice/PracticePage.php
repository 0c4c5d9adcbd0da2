<?php

declare(strict_types=1);

namespace App\Pages\Practice;

use App\Models\Practice\PracticeRound;
use App\Models\When;
use App\Pages\Page;
use App\Practice\RoundBook;
use Illuminate\Support\Collection;
use Tally\Practice\Level;
use Tally\Practice\Mistake;

/**
 * Where practice begins, and how it went: what is got wrong, ten rounds after ten.
 *
 * @phpstan-type MistakeProps array{ // How often something was got wrong, ten rounds after ten.
 *     words: string,
 *     count: int,
 *     blocks: list<int>, // of ten rounds each, the oldest first
 * }
 * @phpstan-type PracticeLevelProps array{ // A level of practice, and how it went so far.
 *     level: int,
 *     words: string,
 *     rounds: int,
 *     right: int,
 * }
 * @phpstan-type PracticeRoundProps array{ // A round that was called.
 *     id: int,
 *     level: int,
 *     seed: int,
 *     was: string,
 *     wrong: string, // what was got wrong; empty where nothing was
 *     on: string,
 * }
 */
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
            array_map(fn (Level $level): array => self::level($level, $rounds), Level::cases()),
            self::mistakes($rounds),
            array_values($rounds->take(self::SHOWN)->map(self::round(...))->all()),
            $open?->id,
            person: $person,
        );
    }

    /**
     * @param  Collection<int, PracticeRound>  $rounds
     * @return PracticeLevelProps
     */
    private static function level(Level $level, Collection $rounds): array
    {
        $of = $rounds->filter(fn (PracticeRound $round): bool => $round->level === $level);

        return [
            'level' => $level->value,
            'words' => $level->words(),
            'rounds' => $of->count(),
            'right' => $of->filter(fn (PracticeRound $round): bool => $round->isRight())->count(),
        ];
    }

    /**
     * @param  Collection<int, PracticeRound>  $rounds  the newest first
     * @return list<MistakeProps> what came most, first
     */
    private static function mistakes(Collection $rounds): array
    {
        $blocks = $rounds->reverse()->values()->chunk(self::BLOCK);
        $all = array_map(function (Mistake $mistake) use ($blocks): array {
            $is = fn (PracticeRound $round): bool => in_array($mistake, $round->mistaken(), true);
            $counts = array_values($blocks->map(fn (Collection $block): int => $block->filter($is)->count())->all());

            return ['words' => $mistake->words(), 'count' => array_sum($counts), 'blocks' => $counts];
        }, Mistake::cases());
        usort($all, fn (array $a, array $b): int => $b['count'] <=> $a['count']);

        return array_values(array_filter($all, fn (array $one): bool => $one['count'] > 0));
    }

    /** @return PracticeRoundProps */
    private static function round(PracticeRound $round): array
    {
        return [
            'id' => $round->id,
            'level' => $round->level->value,
            'seed' => $round->seed,
            'was' => $round->trick->words(),
            'wrong' => implode(', ', array_map(fn (Mistake $one): string => $one->words(), $round->mistaken())),
            'on' => $round->began_at->format(When::DAY),
        ];
    }
}
