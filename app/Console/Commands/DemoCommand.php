<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Cards\Card;
use App\Models\Kit\Host;
use App\Models\People\User;
use Database\Seeders\DatabaseSeeder;
use Illuminate\Console\Command;

/** Fills an empty house with the demo scenario. Everything in it is made up. */
final class DemoCommand extends Command
{
    protected $signature = 'tally:demo {--if-empty : Say nothing and do nothing when there is data or anybody already}';

    protected $description = 'Make the demo data in an empty database';

    public function handle(): int
    {
        $isIfEmpty = $this->option('if-empty') === true;
        if (Card::query()->exists() || Host::query()->exists() || ($isIfEmpty && User::query()->exists())) {
            if ($isIfEmpty) {
                return self::SUCCESS;
            }
            $this->error('There is data already, and the demo is not mixed into it. ./start --fresh replaces all of it by the demo.');

            return self::FAILURE;
        }

        return $this->call('db:seed', ['--class' => DatabaseSeeder::class, '--force' => true]);
    }
}
