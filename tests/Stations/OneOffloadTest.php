<?php

declare(strict_types=1);

namespace Tests\Stations;

use App\Models\Offload\Offload;
use App\Models\Stations\Station;
use App\Offload\Carrying\OffloadStart;
use App\Offload\ShownPlan;
use Illuminate\Support\Facades\DB;
use Tests\Support\CarriesOffloads;

/** A card comes home in one offload at a time, however many people press at once. */
final class OneOffloadTest extends StationTestCase
{
    use CarriesOffloads;

    private const AT_ONCE = 20;

    public function test_of_twenty_that_begin_at_once_one_does(): void
    {
        foreach (['T-1', 'T-2'] as $tag) {
            $this->card(['tag' => $tag]);
            $this->post("/cards/{$tag}/footage", ['footage' => '5 GB', 'by' => 'Wren'])->assertSessionHasNoErrors();
        }
        $shown = ShownPlan::of($this->shownPlan());
        $plan = $shown->plan();
        $station = Station::mustBeHere();
        $start = hrtime(true) + 1_500_000_000;
        $children = [];
        for ($i = 0; $i < self::AT_ONCE; $i++) {
            $child = pcntl_fork();
            if ($child === 0) {
                DB::purge();
                // All of them at one moment.
                while (hrtime(true) < $start) {
                    usleep(500);
                }
                try {
                    OffloadStart::of($plan, $shown->rates, $station, "Harbour {$i}", folders: [], places: null, pace: 1.0, by: 'Wren');
                } finally {
                    // Nothing of the tests' own is to end here too.
                    posix_kill((int) getmypid(), SIGKILL);
                }
            }
            $children[] = $child;
        }
        foreach ($children as $child) {
            pcntl_waitpid($child, $status);
        }
        DB::purge();
        self::assertSame(1, Offload::query()->count());
        self::assertSame(2, Offload::query()->firstOrFail()->cards()->count());
    }
}
