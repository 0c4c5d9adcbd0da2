<?php

declare(strict_types=1);

namespace Tally\Device\Host;

use RuntimeException;
use Tally\Device\Fault\DeviceFault;

/** This PHP may not call the host itself. Under a web server that is as it should be; what touches cards is on the command line. */
final class NoHostCalls extends RuntimeException implements DeviceFault
{
    public function __construct()
    {
        parent::__construct(
            'This PHP has no foreign function interface (FFI), without which errors of the host cannot be told apart and no card is '.
            'touched. Install it for the command line (php-cli with ext-ffi).',
        );
    }
}
