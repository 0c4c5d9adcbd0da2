<?php

declare(strict_types=1);

namespace App\Offload;

use Illuminate\Support\Facades\Cache;
use Tally\Offload\Decision;
use Tally\Offload\Plan;
use Tally\Offload\PlanFile;
use Tally\Offload\Question\Goal;
use Tally\Offload\Question\Question;
use Tally\Offload\Search\Wanted;
use Tally\Value\Values;

/** What a search came to. The same question gives the same plan, so for a while it is searched for once. */
final readonly class FoundPlan
{
    /** Seconds that it is known. What is asked is taken from the books each time: another card or rate is another question. */
    private const KNOWN = 600;

    /** @param  float  $bound  no plan can be done before; seconds */
    public function __construct(public Decision $decision, public float $bound) {}

    public static function of(Question $asked, Goal $goal, float $seconds, Wanted $wanted): Plan
    {
        $key = 'plan '.hash('xxh128', PlanFile::write($asked, $goal)." in {$seconds}");
        $known = Cache::get($key);
        if (is_string($known)) {
            $found = Values::read(self::class, json_decode($known, true));

            return Plan::known($asked, $goal, $found->decision, $found->bound);
        }
        $plan = Plan::of($asked, $goal, $seconds, wanted: $wanted);
        Cache::put($key, Values::json(new self($plan->decision, $plan->bound)), self::KNOWN);

        return $plan;
    }
}
