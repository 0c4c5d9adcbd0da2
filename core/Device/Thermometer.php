<?php

declare(strict_types=1);

namespace Tally\Device;

use Tally\Quantity\Temperature;

/** A medium that tells how warm it is. */
interface Thermometer
{
    public function temperature(): Temperature;
}
