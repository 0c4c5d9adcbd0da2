<?php

declare(strict_types=1);

namespace App\Props\Frame;

use App\Props\Run\RunningProps;

/** What an open page asks for now and then: what changed around it, and how the run it follows stands. */
final readonly class PulseProps
{
    /**
     * @param  list<TagProps>  $tray  all cards to a first question, then those that changed
     * @param  int  $cards  how many there are in all
     * @param  string  $mark  to be given with the next question
     * @param  RunningProps|null  $running  the run that is followed; null when it is over
     */
    public function __construct(
        public FrameProps $frame,
        public array $tray,
        public int $cards,
        public string $mark,
        public ?RunningProps $running,
    ) {}
}
