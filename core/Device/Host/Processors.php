<?php

declare(strict_types=1);

namespace Tally\Device\Host;

/**
 * The processors that this process may run on, as the kernel's mask of bits. Who is told by a pipe is woken on the processor of who
 * tells, for it takes that one to be about to sleep: two that work at the same time are kept apart. Source: sched_setaffinity(2).
 */
final readonly class Processors
{
    private function __construct(private string $mask) {}

    public static function allowed(): self
    {
        return new self(Calls::processors());
    }

    /** @return array{self, self}|null every other one, and those between them; null where there is only one */
    public function halves(): ?array
    {
        $halves = [$none = str_repeat("\0", strlen($this->mask)), $none];
        $number = 0;
        for ($bit = 0; $bit < 8 * strlen($this->mask); $bit++) {
            if (((ord($this->mask[$bit >> 3]) >> ($bit & 7)) & 1) === 1) {
                $half = &$halves[$number++ % 2];
                $half[$bit >> 3] = chr(ord($half[$bit >> 3]) | (1 << ($bit & 7)));
            }
        }

        return $number > 1 ? [new self($halves[0]), new self($halves[1])] : null;
    }

    /** From now on this process runs on these, and so do those that it begins. */
    public function keepTo(): void
    {
        Calls::keepTo($this->mask);
    }
}
