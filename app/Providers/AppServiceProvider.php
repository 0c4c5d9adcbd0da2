<?php

declare(strict_types=1);

namespace App\Providers;

use App\Evidence\JudgeRules;
use App\Models\People\Ability;
use App\Models\People\User;
use App\Offload\Carrying\RealCopies;
use App\People\Workspace;
use App\Rules\HouseValidator;
use App\Runs\Conducting\RunConductor;
use App\Stations\StationFolders;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Queue\Worker;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Validator;
use Illuminate\Support\ServiceProvider;
use PDO;
use Tally\Device\AllowedFolders;
use Tally\Reading\Thresholds;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        // A page takes the connection up that the last one left, where nothing of a transaction stays open. Said here and not in the
        // settings, which are put together at a terminal.
        foreach (['mariadb', 'replica'] as $name) {
            $options = (array) config("database.connections.{$name}.options");
            config(["database.connections.{$name}.options" => [PDO::ATTR_PERSISTENT => ! $this->app->runningInConsole()] + $options]);
        }
        $this->app->scoped(Thresholds::class, fn (): Thresholds => JudgeRules::kept());
        $this->app->bind(AllowedFolders::class, fn (): AllowedFolders => StationFolders::allowed());
        $this->app->bind(RunConductor::class, function (): RunConductor {
            $seconds = config('tally.stand_in_seconds');

            return new RunConductor(
                $this->app->make(AllowedFolders::class),
                is_numeric($seconds) ? (float) $seconds : 0.0,
                $this->app->make('queue.worker'),
                is_int($lane = config('tally.lane')) ? $lane : null,
            );
        });
        $this->app->alias('queue.worker', Worker::class);
        $this->app->bind(
            RealCopies::class,
            fn (): RealCopies => new RealCopies($this->app->make(AllowedFolders::class), $this->app->make('queue.worker')),
        );
    }

    public function boot(): void
    {
        // What asks for more than this is a fault, or an attack; without a limit it takes the whole station along.
        $limit = config($this->app->runningInConsole() ? 'tally.memory.terminal' : 'tally.memory.web');
        ini_set('memory_limit', is_string($limit) ? $limit : '256M');
        foreach (Ability::cases() as $ability) {
            Gate::define(
                $ability,
                fn (?User $user): bool => $user === null
                    ? Workspace::isOpen()
                    : $user->disabled_at === null && in_array($ability, $user->role->abilities(), true),
            );
        }
        Validator::resolver(HouseValidator::of(...));
        // A list that asks once a row is a fault, wherever it happens.
        Model::preventLazyLoading();
        Model::preventAccessingMissingAttributes();
    }
}
