<?php

declare(strict_types=1);

namespace App\Models\Runs;

/** Where a run is in its life. */
enum RunState: string
{
    case Waiting = 'waiting';
    case Running = 'running';
    case Done = 'done';
    case Stopped = 'stopped';
    case Failed = 'failed';
    case Interrupted = 'interrupted';

    /**
     * How a probe ended.
     *
     * @param  string|null  $cutShort  why the medium went away, if it did
     */
    public static function ended(bool $stopped, ?string $cutShort): self
    {
        return match (true) {
            $cutShort !== null => self::Interrupted,
            $stopped => self::Stopped,
            default => self::Done,
        };
    }

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
