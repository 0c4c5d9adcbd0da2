<?php

declare(strict_types=1);

namespace Tally\Offload\Search;

use Closure;

/** Whether somebody still waits for what is searched. Asked again and again, and so not more often than it need be. */
final class Wanted
{
    /** Seconds from one look to the next. */
    private const EVERY = 0.25;

    private float $asked;

    /** @param  (Closure(): bool)|null  $isWanted  null where somebody waits whatever it takes */
    public function __construct(private readonly ?Closure $isWanted = null)
    {
        $this->asked = hrtime(true) / 1e9;
    }

    /** @throws NoLongerWanted */
    public function mustBe(): void
    {
        $now = hrtime(true) / 1e9;
        if ($this->isWanted !== null && $now - $this->asked > self::EVERY) {
            $this->asked = $now;
            ($this->isWanted)() || throw new NoLongerWanted();
        }
    }
}
