<?php

declare(strict_types=1);

namespace Tally\Record;

/** What is kept of a finished run: one class for each kind. */
interface Result {}
