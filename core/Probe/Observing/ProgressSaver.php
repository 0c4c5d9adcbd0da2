<?php

declare(strict_types=1);

namespace Tally\Probe\Observing;

use Closure;

/**
 * Keeps what was measured so far, in case the run dies: a worker that is killed or a machine that loses power takes no
 * passage along that was whole before.
 *
 * @template T of object
 */
interface ProgressSaver
{
    /** @param  Closure(): T  $soFar  the result as it would be if the run ended now; only made if it is wanted */
    public function keep(Closure $soFar): void;
}
