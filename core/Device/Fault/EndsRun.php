<?php

declare(strict_types=1);

namespace Tally\Device\Fault;

/**
 * A fault after which no more can be learnt of the medium: the run ends there, and what it had found stays. None of them says
 * anything of the card.
 */
interface EndsRun extends DeviceFault {}
