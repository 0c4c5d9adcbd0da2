<?php

declare(strict_types=1);

namespace App\Runs\Conducting;

use Tally\Probe\Proof\Checkpoint;
use Tally\Probe\Screen\ScreenPlan;
use Tally\Value\Inline;

/** What a run at the terminal left on a medium, to go on from or to be read once more: a proof, or the places of a screen. */
final readonly class LeftOnMedium
{
    /** @param  string|null  $folder  the folder of the run, of one in a mounted card */
    public function __construct(
        public string $path,
        public ?string $folder = null,
        public ?Checkpoint $checkpoint = null,
        #[Inline]
        public ?ScreenPlan $screen = null,
    ) {}
}
