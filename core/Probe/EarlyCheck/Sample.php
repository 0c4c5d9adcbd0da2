<?php

declare(strict_types=1);

namespace Tally\Probe\EarlyCheck;

use Tally\Pattern\BlockClass;
use Tally\Pattern\Patch;

/** What one place gave back. */
final readonly class Sample
{
    /** @param  non-empty-list<Patch>  $patches  in order, without gaps */
    public function __construct(public array $patches) {}

    /** Bytes from the beginning of the medium. */
    public function offset(): int
    {
        return $this->patches[0]->offset;
    }

    public function holds(): bool
    {
        return $this->firstBad() === null;
    }

    public function firstBad(): ?Patch
    {
        foreach ($this->patches as $patch) {
            if ($patch->class !== BlockClass::Holds) {
                return $patch;
            }
        }

        return null;
    }

    /** @return list<Patch> */
    public function echoes(): array
    {
        return array_values(array_filter($this->patches, fn (Patch $patch): bool => $patch->shift() !== null && $patch->shift() !== 0));
    }
}
