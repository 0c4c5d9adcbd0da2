<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Models\People\Ability;

/** Who is at the page. */
final readonly class WhoProps
{
    /**
     * @param  string|null  $name  null where the house is open
     * @param  string  $role  in a word; “open” where nobody signs in
     * @param  list<Ability>  $may
     * @param  string|null  $welcome  what the role may do and may not, for somebody who has not read it yet
     */
    public function __construct(public ?string $name, public string $role, public array $may, public ?string $welcome) {}
}
