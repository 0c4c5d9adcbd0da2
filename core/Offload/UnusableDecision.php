<?php

declare(strict_types=1);

namespace Tally\Offload;

use InvalidArgumentException;

/** A decision that does not go with its question. */
final class UnusableDecision extends InvalidArgumentException {}
