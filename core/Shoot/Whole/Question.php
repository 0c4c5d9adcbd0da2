<?php

declare(strict_types=1);

namespace Tally\Shoot\Whole;

use Tally\Shoot\FitCard;
use Tally\Shoot\FitCriterion;
use Tally\Shoot\MayIt;

/** A whole shoot: what is recorded on which days, how often cards come home, and the cards there are. */
final readonly class Question
{
    public const MOST_DAYS = 60;

    public const MOST_WANTED = 30;

    /** So much more than is planned, by default. Common practice, no source. */
    public const EXTRA = 0.1;

    /**
     * @param  int  $home  cards come home on the evening of every so many days, and on the last
     * @param  float  $extra  share of recording on top of what is planned
     * @param  list<Wanted>  $wanted
     * @param  list<FitCard>  $cards
     * @param  float  $margin  on what was measured
     * @param  float  $usable  share of a card that a recording may take
     */
    public function __construct(
        public int $days,
        public int $home,
        public float $extra,
        public array $wanted,
        public array $cards,
        public FitCriterion $criterion = FitCriterion::Measured,
        public float $margin = MayIt::MARGIN,
        public float $usable = 1.0,
    ) {}

    /** @return list<Place> */
    public function places(): array
    {
        return array_merge(...array_map(fn (Wanted $one): array => $one->places($this->home, $this->extra), $this->wanted));
    }

    public function comesHome(int $day): bool
    {
        return $day === $this->days || $day % $this->home === 0;
    }
}
