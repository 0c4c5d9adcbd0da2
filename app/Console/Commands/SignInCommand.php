<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\People\Role;
use App\Models\People\User;
use App\People\OnceAddress;
use Illuminate\Console\Command;

/** For whoever is at the terminal of the house: an address that signs somebody in, once. */
final class SignInCommand extends Command
{
    protected $signature = 'tally:sign-in
        {name? : Who; the first lead where nobody is named}
        {--at= : Where the pages are, such as http://127.0.0.1:8470}';

    protected $description = 'Print an address that signs somebody in, once and for ten minutes';

    public function handle(): int
    {
        $name = $this->argument('name');
        $people = User::query()->whereNull('disabled_at')->orderBy('id')->get();
        $user =
            $name === null
                ? $people->first(fn (User $one): bool => $one->role === Role::Lead)
                : $people->first(fn (User $one): bool => $one->name === $name);
        if ($user === null) {
            $this->error(
                $name === null
                    ? 'There is no lead who may sign in. php artisan tally:lead makes one.'
                    : "Nobody called “{$name}” may sign in here. There are: ".$people->pluck('name')->implode(', ').'.',
            );

            return self::FAILURE;
        }
        $at = $this->option('at') ?? config()->string('app.url');
        $this->line(rtrim($at, '/').OnceAddress::of($user));

        return self::SUCCESS;
    }
}
