<?php

declare(strict_types=1);

namespace App\Runs;

/** Where a run is in its life. */
enum RunState: string
{
    case Waiting = 'waiting';
    case Running = 'running';
    case Done = 'done';
    case Stopped = 'stopped';
    case Failed = 'failed';
    case Interrupted = 'interrupted';

    public function isGoing(): bool
    {
        return $this === self::Waiting || $this === self::Running;
    }

    /** @return list<self> */
    public static function going(): array
    {
        return [self::Waiting, self::Running];
    }
}
