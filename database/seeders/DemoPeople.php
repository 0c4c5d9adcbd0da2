<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\People\Role;
use App\People\PeopleBook;
use Illuminate\Database\Seeder;
use Illuminate\Support\Str;

/** Three people with made-up names. Their passwords are made anew each time, and ./start prints them. */
final class DemoPeople extends Seeder
{
    public function run(): void
    {
        $given = getenv('TALLY_DEMO_PASSWORD');
        $people = [];
        foreach (['Wren' => Role::Lead, 'Moss' => Role::Technician, 'Teal' => Role::Viewer] as $name => $role) {
            $password = is_string($given) && $given !== '' ? $given : 'demo-'.strtolower(Str::random(8));
            PeopleBook::enter($name, $role, $password);
            $people[] = "  {$name} ({$role->value}): {$password}";
        }
        // Whoever gave the password knows it; the tests do, and have no business in this file.
        if (is_string($given) && $given !== '') {
            return;
        }
        @mkdir(storage_path('app/private'), 0700, true);
        file_put_contents($file = storage_path('app/private/demo-people.txt'), implode("\n", $people)."\n");
        chmod($file, 0600);
    }
}
