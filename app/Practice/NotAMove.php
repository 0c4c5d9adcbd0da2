<?php

declare(strict_types=1);

namespace App\Practice;

use RuntimeException;

/** Nothing that can be done with this round; the message says what would do. */
final class NotAMove extends RuntimeException {}
