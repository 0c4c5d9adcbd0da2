<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Cards\Card;
use App\Offload\BooksQuestion;
use App\Offload\PlanBook;
use Illuminate\Database\Seeder;
use Tally\Offload\Plan;
use Tally\Offload\Question\Goal;
use Tally\Offload\Question\Rules;
use Tally\Offload\Question\Scheme;

/** How five cards of the survey came home: by relay, with a swap. */
final class DemoPlans extends Seeder
{
    private const CARDS = ['QS-014', 'QS-015', 'QS-022', 'QS-024', 'QS-027'];

    public function run(): void
    {
        $cards = Card::query()->whereIn('tag', self::CARDS)->orderBy('tag')->get()->toBase();
        $asked = BooksQuestion::of($cards, new Rules(scheme: Scheme::Relay));
        $plan = Plan::of($asked->question, Goal::Safe, 0.5);
        $saved = PlanBook::keep('Five cards of the survey, by relay', $plan, $asked, 'demo');
        $begun = now()->subDay()->setTime(21, 58);
        $saved->forceFill([
            'begun_at' => $begun,
            'free_at' => $begun->copy()->addSeconds((int) (1.05 * $saved->free)),
            'done_at' => $begun->copy()->addSeconds((int) (1.09 * $saved->done)),
            'note' => 'the door was locked, one swap came late',
        ])->save();
    }
}
