<?php

declare(strict_types=1);

namespace Database\Seeders;

use Illuminate\Database\Seeder;

/**
 * The demo: Quillan Sound Heritage Survey, a small crew that records sunken wrecks and sea walls.
 *
 * All makers, models and people in it are invented.
 */
final class DatabaseSeeder extends Seeder
{
    public function run(): void
    {
        $this->call([
            DemoGear::class,
            DemoCards::class,
            DemoRuns::class,
            DemoInspections::class,
            DemoPeople::class,
            DemoPlans::class,
            DemoModes::class,
            DemoYear::class,
            DemoPractice::class,
        ]);
    }
}
