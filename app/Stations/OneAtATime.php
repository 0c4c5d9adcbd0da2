<?php

declare(strict_types=1);

namespace App\Stations;

use Closure;

/** Something that the processes of one machine do one after another; a lock that is held by a process that dies is free again. */
final readonly class OneAtATime
{
    /**
     * @template T
     *
     * @param  string  $file  the lock
     * @param  Closure(): T  $do
     * @return T
     */
    public static function by(string $file, Closure $do): mixed
    {
        @mkdir(dirname($file), 0700, true);
        $lock = @fopen($file, 'c');
        if ($lock !== false) {
            flock($lock, LOCK_EX);
        }
        try {
            return $do();
        } finally {
            if ($lock !== false) {
                fclose($lock);
            }
        }
    }
}
