<?php

declare(strict_types=1);

namespace Tally\Shoot\Written;

use Tally\Shoot\Whole\Question;
use Tally\Shoot\Whole\Wanted;
use Tally\Value\ByHand;
use Tally\Value\WrongField;

/** A whole shoot as it is written down. */
#[ByHand]
final readonly class WrittenShoot
{
    /**
     * @param  int|null  $home  cards come home every so many days; null for on the last alone
     * @param  float  $extra  share of recording on top of what is planned
     * @param  list<WrittenWanted>  $wanted
     *
     * @throws WrongField
     */
    public function __construct(
        public int $days,
        public ?int $home = null,
        public float $extra = Question::EXTRA,
        public array $wanted = [],
    ) {
        if ($days < 1 || $days > Question::MOST_DAYS) {
            throw new WrongField('days', 'from 1 to '.Question::MOST_DAYS.'.');
        }
        if ($home !== null && $home < 1) {
            throw new WrongField('home', 'cards come home every so many days, 1 or more.');
        }
        if ($extra < 0 || $extra > 1) {
            throw new WrongField('extra', 'from 0 to 1: the share that is recorded on top of what is planned.');
        }
        if ($wanted === [] || count($wanted) > Question::MOST_WANTED) {
            throw new WrongField('wanted', 'from 1 to '.Question::MOST_WANTED.' recordings.');
        }
    }

    public static function of(Question $question): self
    {
        return new self($question->days, $question->home, $question->extra, array_map(WrittenWanted::of(...), $question->wanted));
    }

    /**
     * @param  WrittenFit  $file  that it stands in
     * @return list<Wanted>
     *
     * @throws WrongField
     */
    public function wanted(WrittenFit $file): array
    {
        $wanted = [];
        foreach ($this->wanted as $i => $one) {
            $wanted[] = $one->wanted($file->cameras(), $this->days, "shoot.wanted[{$i}]");
        }

        return $wanted;
    }
}
