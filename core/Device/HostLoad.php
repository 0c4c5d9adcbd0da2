<?php

declare(strict_types=1);

namespace Tally\Device;

/** How long the processors of this host have worked until now, and how long of it for this process and those that it began. */
final readonly class HostLoad
{
    /** Ticks of the kernel's clock in a second, as Linux counts them for programs. */
    private const TICKS = 100;

    /** Over a shorter time the kernel's ticks are too coarse. Seconds. */
    private const LEAST = 0.5;

    /**
     * Of /proc/PID/stat, proc_pid_stat(5): who began it, the ticks that it worked and those of its children that have ended. Its name
     * before them may hold blanks and brackets.
     */
    private const WORKED = '/.*\) \S (\d+)(?: \S+){9} (\d+) (\d+) (\d+) (\d+)/s';

    /**
     * @param  float  $at  seconds, as are all
     * @param  float  $all  of all processors together
     * @param  float  $own  of this process and its children
     */
    private function __construct(private float $at, private float $all, private float $own, private int $processors) {}

    public static function now(): self
    {
        $stat = (string) @file_get_contents('/proc/stat');
        preg_match('/^cpu\s+(\d+) (\d+) (\d+) \d+ \d+ (\d+) (\d+) (\d+)/m', $stat, $busy);

        return new self(
            hrtime(true) / 1e9,
            array_sum(array_map(intval(...), array_slice($busy, 1))) / self::TICKS,
            self::own() / self::TICKS,
            max(1, (int) preg_match_all('/^cpu\d/m', $stat)),
        );
    }

    /** @return Load|null null where too little time lies between */
    public function until(self $later): ?Load
    {
        $seconds = ($later->at - $this->at) * $this->processors;
        $all = ($later->all - $this->all) / max(0.001, $seconds);
        $own = ($later->own - $this->own) / max(0.001, $seconds);

        return $later->at - $this->at < self::LEAST ? null : new Load(min(1.0, $all), min(1.0, max(0.0, $all - $own)), $this->processors);
    }

    /** Ticks. */
    private static function own(): int
    {
        $me = getmypid();
        $ticks = 0;
        foreach ((array) glob('/proc/[0-9]*/stat') as $path) {
            // One that ended a moment ago is among what its parent tells.
            $is = preg_match(self::WORKED, (string) @file_get_contents((string) $path), $told) === 1;
            if ($is && ((int) $told[1] === $me || $path === "/proc/{$me}/stat")) {
                $ticks += array_sum(array_map(intval(...), array_slice($told, 2)));
            }
        }

        return $ticks;
    }
}
