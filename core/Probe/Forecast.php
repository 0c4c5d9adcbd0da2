<?php

declare(strict_types=1);

namespace Tally\Probe;

use Tally\Probe\Screen\ScreenPlan;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;

/** How long a run will take: size ÷ write + size ÷ read, for each run. */
final readonly class Forecast
{
    public function __construct(private Rate $write, private Rate $read) {}

    public function for(Bytes $size, int $runs = 1): Span
    {
        return Span::seconds($runs * ($this->write->timeFor($size)->seconds + $this->read->timeFor($size)->seconds));
    }

    public function ofSpeed(SpeedPlan $plan): Span
    {
        return Span::seconds(
            $this->for($plan->region, $plan->passages())->seconds +
                $plan->pause->seconds * ($plan->order === PassOrder::Alternating ? $plan->passages() - 1 : 2 * ($plan->passages() - 1)),
        );
    }

    /**
     * Many small files and one large one of the same bytes, written and read; what a file costs is not known before, so 10 ms
     * are taken.
     */
    public function ofFiles(int $files, Bytes $each, int $rounds): Span
    {
        return Span::seconds(2 * $this->for(Bytes::of($files * $each->count), $rounds)->seconds + $rounds * 2 * $files * 0.01);
    }

    /** Each place of a screen costs the way there besides, both times; how long is not known before, so 5 ms are taken. */
    public function ofScreen(ScreenPlan $plan): Span
    {
        return Span::seconds($this->for($plan->total())->seconds + 2 * 0.005 * count($plan->places()));
    }

    public function ofWriting(Bytes $size): Span
    {
        return $this->write->timeFor($size);
    }
}
