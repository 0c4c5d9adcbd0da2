<?php

declare(strict_types=1);

namespace Tally\Record;

/** How a run was asked for: one class for each kind. */
interface Parameters
{
    /** How many times it goes through: for telling how far it has come. */
    public function rounds(): int;
}
