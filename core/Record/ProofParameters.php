<?php

declare(strict_types=1);

namespace Tally\Record;

use Tally\Probe\Screen\ScreenPlan;
use Tally\Quantity\Bytes;
use Tally\Value\Alterable;

/** How a proof or a quick screen was asked for. */
final readonly class ProofParameters implements Parameters
{
    use Alterable;

    /**
     * @param  Bytes|null  $size  null for all there is
     * @param  bool  $wholeMap  whether the write pass goes to its end, whatever looking back meets
     * @param  bool  $again  whether all of it is to be read back once more
     * @param  int  $points  places of a quick screen
     * @param  int|null  $screen  the quick screen whose places are to be read once more
     * @param  bool  $reinserted  whether the card was out since the proof before
     * @param  string|null  $tag  what was typed to say that erasing is meant
     * @param  string|null  $why  why it is the right medium after all
     */
    public function __construct(
        public ?Bytes $size = null,
        public bool $wholeMap = false,
        public bool $again = false,
        public int $points = ScreenPlan::POINTS,
        public ?int $screen = null,
        public bool $reinserted = false,
        public ?string $tag = null,
        public ?string $why = null,
    ) {}

    /** How often something is done over, for the progress of a run. */
    public function rounds(): int
    {
        return 1;
    }

    /** The same, the card having been out since the proof before. */
    public function afterReinsertion(): self
    {
        return $this->with(reinserted: true);
    }

    /** The same once more from its checkpoint. */
    public function goneOnWith(bool $again): self
    {
        return $this->with(again: $again);
    }
}
