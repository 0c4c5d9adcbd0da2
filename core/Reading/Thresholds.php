<?php

declare(strict_types=1);

namespace Tally\Reading;

use InvalidArgumentException;

/** Where one judgement ends and the next begins, as shares. A house may have its own; the standard ones are those of handbook § 6. */
final readonly class Thresholds
{
    public const FULL = 0.93;

    public const NEAR = 0.9;

    public const SHORT = 0.75;

    public const ABOVE = 1.1;

    /** Limits of sense: chosen, no source. name → least, most */
    public const SENSE = ['full' => [0.9, 0.99], 'near' => [0.8, 0.98], 'short' => [0.5, 0.9], 'above' => [1.02, 1.5]];

    /**
     * @param  float  $full  of its label that a medium shows at the least
     * @param  float  $near  of a claim from which on it counts as reached
     * @param  float  $short  of a claim under which a card is Slow
     * @param  float  $above  of a claim above which a label asks little
     *
     * @throws InvalidArgumentException with the field, what was given and what would do
     */
    public function __construct(
        public float $full = self::FULL,
        public float $near = self::NEAR,
        public float $short = self::SHORT,
        public float $above = self::ABOVE,
    ) {
        foreach (self::SENSE as $name => [$least, $most]) {
            if (! ($this->{$name} >= $least && $this->{$name} <= $most)) {
                $given = round(100 * $this->{$name}, 1);
                $would = round(100 * $least).' to '.round(100 * $most);
                throw new InvalidArgumentException("{$name}: “{$given} %” makes no sense. Give {$would} %.");
            }
        }
        if ($short > $near) {
            throw new InvalidArgumentException(
                'short: what is Slow must lie under what counts as reached. Give at most '.round(100 * $near, 1).' %.',
            );
        }
    }
}
