<?php

declare(strict_types=1);

namespace Tally\Offload;

use Tally\Offload\Question\Scheme;
use Tally\Offload\Reckon\Part;
use Tally\Offload\Reckon\PartKind;

/** What a piece of gear, or a card, has to do in a plan. */
final readonly class Load
{
    /** @param  float  $share  of the time of the whole plan that it would be full, at its full ceiling */
    private function __construct(public Part $part, public string $name, public float $share) {}

    /** @return list<self> the busiest first: the pinch */
    public static function of(Plan $plan): array
    {
        $network = $plan->course->network;
        $done = max(1e-9, $plan->course->done);
        $loads = [];
        foreach ($plan->course->load as $resource => $seconds) {
            $loads[] = new self($network->parts[$resource], $network->names[$resource], $seconds / $done);
        }
        foreach ($plan->course->placements as $placement) {
            $card = $plan->question->cards[$placement->card];
            $own = $network->ownRate($placement->card, $placement->slot);
            $times = $placement->scheme === Scheme::Straight ? count($placement->drives) : 1;
            $seconds = $times * ($card->bytes / $own + $card->files * $plan->question->rules->overhead);
            $loads[] = new self(new Part(PartKind::Card, $placement->card), "{$card->tag} itself", $seconds / $done);
        }
        usort($loads, fn (self $one, self $other): int => [$other->share, $one->name] <=> [$one->share, $other->name]);

        return $loads;
    }
}
