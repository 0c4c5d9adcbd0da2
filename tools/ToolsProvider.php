<?php

declare(strict_types=1);

namespace Tools;

use Illuminate\Support\ServiceProvider;

/** The benches and trials of those who build it: `php artisan bench:…`. Not there where only what runs is installed. */
final class ToolsProvider extends ServiceProvider
{
    public function boot(): void
    {
        $files = glob(__DIR__.'/Commands/*.php');
        $this->commands(
            array_map(fn (string $file): string => __NAMESPACE__.'\\Commands\\'.basename($file, '.php'), $files === false ? [] : $files),
        );
    }
}
