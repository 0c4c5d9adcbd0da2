<?php

declare(strict_types=1);

namespace Tally\Probe;

/** One write and one read of the same region. */
final readonly class SpeedLook
{
    /**
     * @param  bool  $forgot  whether the host was made to forget the data before it was read
     * @param  int  $wrong  bytes that did not come back as written
     */
    public function __construct(public Passage $write, public Passage $read, public bool $forgot, public int $wrong) {}
}
