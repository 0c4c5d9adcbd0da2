<?php

declare(strict_types=1);

namespace Tally\Offload\Search;

use Tally\Offload\Question\Scheme;
use Tally\Offload\Reckon\FlowPath;
use Tally\Offload\Reckon\Network;

/** How long a card takes with everything to itself: no plan is faster for it. Seconds. */
final class OwnTimes
{
    /** @var array<string, float> */
    private array $copies = [];

    public function __construct(private readonly Network $network) {}

    /** A copy from a card in a slot to one drive, the drive's cache still empty. */
    public function copy(int $card, int $slot, int $drive): float
    {
        return $this->copies["{$card} {$slot} {$drive}"] ??= $this->write(
            $card,
            $this->network->copy($card, $slot, [$drive]) ?? new FlowPath(0.0, []),
            $drive,
            INF,
        );
    }

    /** Of a copy, from one drive. */
    public function readBack(int $card, int $drive): float
    {
        return $this->flow($card, min($this->network->readBack($drive)->ceiling, $this->network->question->drives[$drive]->read));
    }

    /** A copy from one drive on to another. */
    public function relay(int $card, int $from, int $to): float
    {
        return $this->write($card, $this->network->relay($from, $to), $to, $this->network->question->drives[$from]->read);
    }

    /**
     * How long the card is in this slot at the least.
     *
     * @param  list<int>  $drives  that its copies may go to
     */
    public function stay(int $card, int $slot, Scheme $scheme, array $drives): float
    {
        $rules = $this->network->question->rules;
        if ($drives === []) {
            return INF;
        }
        $copies = array_map(fn (int $drive): float => $this->copy($card, $slot, $drive), $drives);
        $withBack = array_map(
            fn (int $drive): float => $this->copy($card, $slot, $drive) + ($rules->readsBack() ? $this->readBack($card, $drive) : 0.0),
            $drives,
        );
        sort($copies);

        return match ($scheme) {
            Scheme::Relay => min($withBack),
            // All of the drives take it at once, so also the slowest of those that must be among them.
            Scheme::FanOut => max(
                min($withBack),
                $copies[$rules->copies - 1] +
                    ($rules->readsBack() ? min(array_map(fn (int $drive): float => $this->readBack($card, $drive), $drives)) : 0.0),
            ),
            Scheme::Straight => max(min($withBack), array_sum(array_slice($copies, 0, $rules->copies))),
        };
    }

    /**
     * From the moment it is in until all of its copies are safe.
     *
     * @param  list<int>  $drives  that its copies may go to
     */
    public function safe(int $card, int $slot, array $drives): float
    {
        $rules = $this->network->question->rules;
        $back = fn (int $drive): float => $rules->readsBack() ? $this->readBack($card, $drive) : 0.0;
        $ends = [];
        foreach ($drives as $drive) {
            $ends[$drive] = $this->copy($card, $slot, $drive) + $back($drive);
        }
        $relays = $rules->copies > 1 && in_array(Scheme::Relay, $rules->schemes(), true);
        $direct = $ends;
        foreach ($relays ? $drives : [] as $to) {
            foreach ($drives as $from) {
                if ($from !== $to) {
                    $ends[$to] = min($ends[$to], $direct[$from] + $this->relay($card, $from, $to) + $back($to));
                }
            }
        }
        sort($ends);

        return $ends[$rules->copies - 1];
    }

    private function write(int $card, FlowPath $path, int $to, float $most): float
    {
        $drive = $this->network->question->drives[$to];
        $bytes = $this->network->question->cards[$card]->bytes;
        $steady = min($path->ceiling, $drive->write, $most);
        if ($steady <= 0) {
            return INF;
        }
        $cached = $drive->fast > $drive->write ? min($drive->cache, $bytes) : 0.0;

        $fast = min($path->ceiling, $drive->fast > 0 ? $drive->fast : $drive->write, $most);

        return $this->flow($card, $steady) + $cached / $fast - $cached / $steady;
    }

    private function flow(int $card, float $rate): float
    {
        $one = $this->network->question->cards[$card];

        return $one->bytes <= 0 ? 0.0 : $one->bytes / $rate + $one->files * $this->network->question->rules->overhead;
    }
}
