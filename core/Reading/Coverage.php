<?php

declare(strict_types=1);

namespace Tally\Reading;

use InvalidArgumentException;

/**
 * What K places drawn over a medium say about all of it.
 *
 * A medium whose good share is f passes with the chance f^K, and with less where the places are spread evenly. Source: the
 * binomial distribution; the rule of three is its 95 % bound for no bad one seen.
 */
final readonly class Coverage
{
    public function __construct(public int $points)
    {
        if ($points < 1) {
            throw new InvalidArgumentException("Nothing can be said from {$points} places.");
        }
    }

    /** The chance that a medium with this good share is caught. */
    public function catches(float $goodShare): float
    {
        return 1 - $goodShare ** $this->points;
    }

    /** The good share below which a medium would have been caught with 99 % certainty. */
    public function caughtBelow(): float
    {
        return 0.01 ** (1 / $this->points);
    }

    /** The share of bad blocks that is excluded at 95 % confidence, when none was seen. */
    public function excludes(): float
    {
        return min(1.0, 3 / $this->points);
    }

    public function caught(): string
    {
        // A certainty is cut, never rounded up: handbook § 6 rule 12.
        $below = floor(1000 * $this->caughtBelow()) / 10;

        return sprintf('A card that holds less than %.1f %% would have been caught with 99 %% certainty.', $below);
    }

    public function excluded(): string
    {
        return sprintf(
            'All %d places held: at 95 %% confidence fewer than %s %% of the blocks are bad.',
            $this->points,
            rtrim(rtrim(number_format(100 * $this->excludes(), 2), '0'), '.'),
        );
    }
}
