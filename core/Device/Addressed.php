<?php

declare(strict_types=1);

namespace Tally\Device;

/** A device whose offsets are the medium's own addresses, so that any of them can be written at any time. */
interface Addressed extends Device {}
