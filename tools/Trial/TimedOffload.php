<?php

declare(strict_types=1);

namespace Tools\Trial;

/** What an offload in a process of its own took. */
final readonly class TimedOffload
{
    /**
     * @param  int  $read  bytes that its process read of files while it copied, as its engine counts them
     * @param  int  $written  bytes, of all drives
     * @param  int  $memory  bytes at the most
     */
    public function __construct(public float $seconds, public int $read, public int $written, public int $memory) {}
}
