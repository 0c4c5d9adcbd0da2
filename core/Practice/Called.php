<?php

declare(strict_types=1);

namespace Tally\Practice;

use Tally\Evidence\Evidence;
use Tally\Evidence\SpeedEvidence;
use Tally\Measured\Attribution;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Reading\Summary;
use Tally\Verdict\CapacityJudge;
use Tally\Verdict\Judge;
use Tally\Verdict\Topic;
use Tally\Verdict\Verdict;
use Tally\Verdict\VerdictKind;

/** What the judge says of an exercise after some moves: verdict, what holds the first figure, and how much it really keeps. */
final readonly class Called
{
    /** A figure on another way that is so many times as high clears the card: the house rule of blame. */
    private const MORE = 1.1;

    /**
     * @param  Holds|null  $holds  null where it cannot be told yet
     * @param  Bytes|null  $capacity  null where it is not known, or makes no difference any more
     */
    private function __construct(public Verdict $verdict, public ?Holds $holds, public ?Bytes $capacity) {}

    /** @param  list<Move>  $done */
    public static function after(Exercise $exercise, array $done): self
    {
        $evidence = $exercise->evidence($done);
        $verdict = Judge::judge($evidence);
        $isOfSize = $verdict->kind === VerdictKind::Sound ||
            ($verdict->kind === VerdictKind::Sham && $verdict->reasons[0]->topic === Topic::Capacity);

        return new self(
            $verdict,
            self::heldBy($exercise, $evidence),
            $isOfSize ? self::keeps($evidence) : null,
        );
    }

    /** What the card is known to keep; null where nothing settles it. */
    public static function keeps(Evidence $evidence): ?Bytes
    {
        $capacity = CapacityJudge::judge($evidence);
        $keeps = match ($capacity->bearing) {
            VerdictKind::Sound => $capacity->figures['shown'] ?? null,
            VerdictKind::Sham => $capacity->figures['keeps'] ?? $capacity->figures['shown'] ?? null,
            default => null,
        };

        return $keeps instanceof Bytes ? $keeps : null;
    }

    /**
     * A card that reads faster elsewhere was held by the first way; where the figure is far under what that way is sure to give, it is
     * the card.
     */
    public static function heldBy(Exercise $exercise, Evidence $evidence): ?Holds
    {
        [$label, $speeds] = [$exercise->evidence([])->label, $evidence->speeds];
        $first = Rate::bytesPerSecond(Summary::of($speeds[0]->record->reads)->median);
        $way = $exercise->first->chain();
        $elsewhere = [];
        foreach ([...array_slice($speeds, 1), ...$evidence->proofs] as $run) {
            $rate = $run instanceof SpeedEvidence
                ? Rate::bytesPerSecond(Summary::of($run->record->reads)->median)
                : $run->readRate();
            // Another reader of the same kind is the same way.
            if ($rate !== null && ($run->chain->slot !== $way->slot || $run->chain->host?->name !== $way->host?->name)) {
                $elsewhere[] = $rate->over($first);
            }
        }
        $claim = $label->readClaim();

        return match (true) {
            max([0.0, ...$elsewhere]) > self::MORE => $exercise->first->pinch($label),
            $claim !== null && (new Attribution($exercise->first->chain(), $label))->isTheCards($first, $claim) => Holds::Card,
            default => null,
        };
    }

    public function says(self $other): bool
    {
        return $this->verdict->kind === $other->verdict->kind &&
            $this->holds === $other->holds &&
            self::isSame($this->capacity, $other->capacity);
    }

    /** Within a hundredth. */
    public static function isSame(?Bytes $one, ?Bytes $other): bool
    {
        return $one === null || $other === null
            ? $one === $other
            : abs($one->count - $other->count) <= 0.01 * max($one->count, $other->count);
    }
}
