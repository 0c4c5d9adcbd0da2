<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\People\GivenPasswordProps;
use App\Props\People\PersonProps;
use App\Props\People\RoleProps;
use App\Props\People\SignInProps;

/** All that the page People shows. */
final readonly class PeoplePageProps implements PageProps
{
    /**
     * @param  list<PersonProps>  $people
     * @param  list<RoleProps>  $roles
     * @param  list<SignInProps>  $signIns
     */
    public function __construct(
        public array $people,
        public array $roles,
        public array $signIns,
        public ?GivenPasswordProps $once,
    ) {}
}
