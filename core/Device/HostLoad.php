<?php

declare(strict_types=1);

namespace Tally\Device;

/** How busy the processors of this host were with something else, from one moment on. */
final readonly class HostLoad
{
    /** Ticks of the kernel's clock in a second, as Linux counts them for programs. */
    private const TICKS = 100;

    private function __construct(private float $at, private float $all, private float $own, private int $processors) {}

    public static function now(): self
    {
        $stat = (string) @file_get_contents('/proc/stat');
        preg_match('/^cpu\s+(\d+) (\d+) (\d+) \d+ \d+ (\d+) (\d+)/m', $stat, $busy);
        preg_match('/^(?:\S+ ){13}(\d+) (\d+)/', (string) @file_get_contents('/proc/self/stat'), $own);
        $ticks = (int) ($own[1] ?? 0) + (int) ($own[2] ?? 0);

        return new self(
            hrtime(true) / 1e9,
            array_sum(array_map(intval(...), array_slice($busy, 1))) / self::TICKS,
            $ticks / self::TICKS,
            max(1, (int) preg_match_all('/^cpu\d/m', $stat)),
        );
    }

    /** Whether less than one processor was left for this process since then. */
    public function wasBusy(self $now): bool
    {
        $others = ($now->all - $this->all - ($now->own - $this->own)) / max(0.001, $now->at - $this->at);

        return $now->at - $this->at > 0.5 && $others > max(0.5, $this->processors - 1);
    }
}
