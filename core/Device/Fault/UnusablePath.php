<?php

declare(strict_types=1);

namespace Tally\Device\Fault;

use RuntimeException;

/** Something that cannot be done at a path: one class for each act that failed, with where and why as data. */
abstract class UnusablePath extends RuntimeException implements DeviceFault
{
    /**
     * @param  string  $path  as it was given; empty where it is the medium itself that is wrong
     * @param  string  $reason  a word for code to tell reasons apart by: the name of the constructor
     * @param  string  $message  the sentence for people
     */
    final protected function __construct(public readonly string $path, public readonly string $reason, string $message)
    {
        parent::__construct($message);
    }
}
