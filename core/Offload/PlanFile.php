<?php

declare(strict_types=1);

namespace Tally\Offload;

use JsonException;
use Tally\Offload\Question\Goal;
use Tally\Offload\Question\Question;
use Tally\Offload\Question\UnusableQuestion;
use Tally\Offload\Written\WrittenPlan;
use Tally\Value\NotUsable;
use Tally\Value\Values;

/** What a plan is asked for, as an open file has it; docs/plan.md describes it. */
final readonly class PlanFile
{
    public const FORMAT = 'gritty-tally-offload';

    public const VERSION = 1;

    private const LARGEST = 4_000_000;

    private function __construct(public Question $question, public ?Goal $goal) {}

    /**
     * @throws NotUsable naming the field, what was given, and what would do
     * @throws UnusableQuestion when it contradicts itself
     */
    public static function read(string $json): self
    {
        if (strlen($json) > self::LARGEST) {
            throw NotUsable::field('file', 'more than 4 MB', 'give a plan file.');
        }
        try {
            $values = json_decode($json, true, 32, JSON_THROW_ON_ERROR);
        } catch (JsonException $fault) {
            throw NotUsable::field('file', $fault->getMessage(), 'give JSON.');
        }
        $plan = Values::read(WrittenPlan::class, is_array($values) ? $values : throw NotUsable::field('file', $values, 'give an object.'));

        return new self($plan->question(), $plan->rules->goal);
    }

    /** @return string JSON, so that read() gives the same question again */
    public static function write(Question $question, Goal $goal): string
    {
        return Values::json(WrittenPlan::of($question, $goal));
    }
}
