<?php

declare(strict_types=1);

namespace Tally\Device\Fault;

use Throwable;

/** Anything that went wrong between the program and a medium; the message is a sentence for the technician. */
interface DeviceFault extends Throwable {}
