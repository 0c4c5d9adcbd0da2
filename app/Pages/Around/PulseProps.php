<?php

declare(strict_types=1);

namespace App\Pages\Around;

use App\Pages\Card\RunningProps;

/** What an open page asks for now and then: what changed around it, and how the run it follows stands. */
final readonly class PulseProps
{
    /**
     * @param  list<TagProps>  $tray  cards; the first of all, or those that changed, and those that were looked for
     * @param  bool  $anew  whether they stand in the place of all that were told before
     * @param  string  $mark  to be given with the next question
     * @param  RunningProps|null  $running  the run that is followed; null when it is over
     */
    public function __construct(
        public FrameProps $frame,
        public array $tray,
        public bool $anew,
        public string $mark,
        public ?RunningProps $running,
    ) {}
}
