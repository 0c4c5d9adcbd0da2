<?php

declare(strict_types=1);

namespace Tally\Verdict;

use Tally\Label\Mark;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;

/** What a label promises to keep up: the floor of a mark, or a sustained claim. */
final readonly class Promise
{
    /** @param  Mark|null  $mark  null for a sustained claim */
    public function __construct(public Rate $rate, public ?Mark $mark) {}

    /**
     * @param  ReasonId  $ofClass  where it is a mark's
     * @param  ReasonId  $ofClaim  where it is a sustained claim
     * @param  array<string, Bytes|Rate|int|float|string>  $figures
     */
    public function reason(ReasonId $ofClass, ReasonId $ofClaim, array $figures, string $evidence): Reason
    {
        return $this->mark === null
            ? Reason::of($ofClaim, Topic::Sustained, [...$figures, 'claim' => $this->rate], $evidence)
            : Reason::of($ofClass, Topic::SpeedClass, [...$figures, 'mark' => $this->mark->value, 'floor' => $this->rate], $evidence);
    }
}
