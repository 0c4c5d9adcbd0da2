<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Cards\Card;
use App\Models\Offload\SavedPlan;
use App\Offload\BooksQuestion;
use App\Offload\PlanBook;
use Illuminate\Database\Seeder;
use Illuminate\Support\Carbon;
use Tally\Offload\Plan;
use Tally\Offload\Question\Drive;
use Tally\Offload\Question\Goal;
use Tally\Offload\Question\Question;
use Tally\Offload\Question\Reader;
use Tally\Offload\Question\Rules;
use Tally\Offload\Question\Scheme;

/** How five cards of the survey came home with what was in the bag: by relay, with swaps in the one SD slot. */
final class DemoPlans extends Seeder
{
    private const CARDS = ['QS-014', 'QS-015', 'QS-022', 'QS-024', 'QS-027'];

    private const BAG = ['R5', 'R6', 'D1', 'D3'];

    public function run(): void
    {
        $cards = Card::query()->whereIn('tag', self::CARDS)->orderBy('tag')->get()->toBase();
        $asked = BooksQuestion::of($cards, new Rules(scheme: Scheme::Relay));
        $plan = Plan::of(self::inTheBag($asked->question), Goal::Safe, 0.5);
        $saved = PlanBook::keep('Five cards of the survey, by relay', $plan, $asked->rates, 'demo');
        $begun = now()->subDay()->setTime(21, 58);
        $saved->forceFill([
            'begun_at' => $begun,
            'free_at' => $begun->copy()->addSeconds((int) (1.05 * $saved->free)),
            'done_at' => $begun->copy()->addSeconds((int) (1.09 * $saved->done)),
            'note' => 'the door was locked, one swap came late',
        ])->save();
        $all = Card::query()->whereIn('tag', [...self::CARDS, 'QS-028'])->orderBy('tag')->get()->toBase();
        $asked = BooksQuestion::of($all, new Rules());
        $plan = Plan::of($asked->question, Goal::Safe, 0.3);
        $carried = ['Six cards after the spring tide' => [5, 1.04], 'Six cards, and a train to catch' => [2, 1.1]];
        foreach ($carried as $name => [$weeks, $slower]) {
            $begun = now()->subWeeks($weeks)->setTime(20, 12);
            $this->carriedOut(PlanBook::keep($name, $plan, $asked->rates, 'demo'), $begun, $slower);
        }
    }

    /** @param  float  $slower  so many times what was planned is how long it took */
    private function carriedOut(SavedPlan $saved, Carbon $begun, float $slower): void
    {
        $saved->forceFill([
            'begun_at' => $begun,
            'free_at' => $begun->copy()->addSeconds((int) ($slower * $saved->free)),
            'done_at' => $begun->copy()->addSeconds((int) ($slower * $saved->done)),
        ])->save();
    }

    private static function inTheBag(Question $question): Question
    {
        return new Question(
            $question->hosts,
            array_values(array_filter($question->readers, fn (Reader $reader): bool => in_array($reader->name, self::BAG, true))),
            array_values(array_filter($question->drives, fn (Drive $drive): bool => in_array($drive->name, self::BAG, true))),
            $question->cards,
            links: [],
            rules: $question->rules,
        );
    }
}
