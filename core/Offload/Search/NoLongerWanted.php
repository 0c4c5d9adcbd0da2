<?php

declare(strict_types=1);

namespace Tally\Offload\Search;

use RuntimeException;

/** Nobody waits any more for what was searched. */
final class NoLongerWanted extends RuntimeException {}
