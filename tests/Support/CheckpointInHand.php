<?php

declare(strict_types=1);

namespace Tests\Support;

use Closure;
use Tally\Probe\Observing\ProgressSaver;
use Tally\Probe\Proof\Checkpoint;
use Tally\Value\Values;

/**
 * Keeps every so-manieth checkpoint, as it would lie in a file.
 *
 * @implements ProgressSaver<Checkpoint>
 */
final class CheckpointInHand implements ProgressSaver
{
    public ?string $json = null;

    private int $asked = 0;

    public function __construct(private readonly int $every) {}

    public function keep(Closure $soFar): void
    {
        if ($this->asked++ % $this->every === 0) {
            $this->json = json_encode(Values::plain($soFar()), JSON_THROW_ON_ERROR);
        }
    }
}
