<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\People\Role;
use App\Models\People\User;
use App\People\PeopleBook;
use Illuminate\Console\Command;

/** The way in for a house where nobody can get in: whoever is at its terminal makes a lead, or gives one a new password. */
final class LeadCommand extends Command
{
    protected $signature = 'tally:lead
        {name=lead : Who}
        {--if-none : Say nothing and do nothing when there is somebody already}';

    protected $description = 'Make a lead, or give one a new password, and print it once';

    public function handle(): int
    {
        if ($this->option('if-none') === true && User::query()->exists()) {
            return self::SUCCESS;
        }
        $name = trim($this->argument('name'));
        if ($name === '' || mb_strlen($name) > 80) {
            $this->error('The name has 1 to 80 letters.');

            return self::FAILURE;
        }
        $user = User::query()->where('name', $name)->first();
        if ($user !== null) {
            $user->forceFill(['disabled_at' => null])->save();
            PeopleBook::assign($user, Role::Lead);
        }
        $once = $user === null ? PeopleBook::enter($name, Role::Lead) : PeopleBook::reset($user);
        $this->line("Sign in as {$name} with {$once}; it is asked to be changed at once.");

        return self::SUCCESS;
    }
}
