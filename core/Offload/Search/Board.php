<?php

declare(strict_types=1);

namespace Tally\Offload\Search;

use Tally\Offload\Decision;
use Tally\Offload\Question\Question;
use Tally\Offload\Question\Scheme;
use Tally\Offload\Reckon\Course;
use Tally\Offload\Reckon\Limits;
use Tally\Offload\Reckon\Network;
use Tally\Offload\Reckon\Placement;
use Tally\Offload\Reckon\Reckoner;
use Tally\Offload\Reckon\SoFar;
use Tally\Offload\UnusableDecision;

/** What can be chosen for each card, once everything is cabled. */
final class Board
{
    public readonly Network $network;

    /** @var array<int, list<int>> card → slots that take it, and whose host has drives for all copies */
    public array $slots = [];

    /** @var array<int, list<array{Scheme, list<int>}>> host → ways onto its drives */
    public array $ways = [];

    /** That of the cards that are chosen for, and of those that are in already behind them, so that numbers of cards are the same. */
    private readonly Network $whole;

    /** @var list<Placement> those that are in already */
    private readonly array $in;

    private readonly ?SoFar $soFar;

    /**
     * @param  array<string, string>  $links
     * @param  Begun|null  $begun  what goes on beside
     *
     * @throws UnusableDecision when what goes on does not go with the question
     */
    public function __construct(Question $question, public readonly array $links, ?Begun $begun = null)
    {
        $this->network = new Network($question, $links);
        $this->whole = $begun === null
            ? $this->network
            : new Network($question->withCards([...$question->cards, ...$begun->laden]), $links);
        $this->in = $begun === null ? [] : (new Decision($links, $begun->placed))->placements($this->whole);
        $this->soFar = $begun?->soFar;
        foreach (array_keys($question->hosts) as $host) {
            $drives = array_keys($this->network->driveHost, $host, true);
            $this->ways[$host] = count($drives) < $question->rules->copies ? [] : Ways::of($question->rules, $drives);
        }
        foreach (array_keys($question->cards) as $card) {
            $this->slots[$card] = array_values(
                array_filter(
                    array_keys($this->network->slots),
                    fn (int $slot): bool => $this->whole->takes($card, $slot) && $this->waysAt($slot) !== [],
                ),
            );
        }
    }

    /** @return list<array{Scheme, list<int>}> */
    public function waysAt(int $slot): array
    {
        return $this->ways[$this->network->hostOfSlot($slot) ?? -1] ?? [];
    }

    /** Whether the drives have room for all that goes onto them. */
    public function hasRoom(State $state): bool
    {
        $question = $this->network->question;
        $onto = [];
        foreach ($state->ways as $card => [, $drives]) {
            foreach ($drives as $drive) {
                $onto[$drive] = ($onto[$drive] ?? 0.0) + $question->cards[$card]->bytes;
            }
        }
        foreach ($onto as $drive => $bytes) {
            if ($bytes > $question->drives[$drive]->free) {
                return false;
            }
        }

        return true;
    }

    /** What comes of it, beside what goes on already. */
    public function course(State $state, Limits $limits): Course
    {
        return Reckoner::figures($this->whole, [...$this->in, ...$this->placements($state)], $limits, $this->soFar);
    }

    /** @return list<Placement> */
    public function placements(State $state): array
    {
        return array_map(
            fn (int $card): Placement => new Placement($card, $state->slots[$card], $state->ways[$card][1], $state->ways[$card][0]),
            $state->order,
        );
    }
}
