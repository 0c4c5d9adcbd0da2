<?php

declare(strict_types=1);

namespace App\Runs\Filing;

use App\Models\Runs\RunState;
use Tally\Probe\Proof\Checkpoint;
use Tally\Record\Result;
use Tally\Value\Alterable;

/** What came of a run, before it is in any book. */
final readonly class Outcome
{
    use Alterable;

    /**
     * @param  Result|null  $result  null where it could not even begin
     * @param  array{write: list<array{float, float}>, read: list<array{float, float}>, heat?: list<array{float, float}>}|null  $traces
     * @param  string|null  $message  why it ended as it did
     * @param  Checkpoint|null  $checkpoint  where it can be taken up again
     */
    public function __construct(
        public RunState $state,
        public ?Result $result,
        public ?array $traces,
        public ?string $message,
        public ?Checkpoint $checkpoint = null,
    ) {}

    /**
     * @param  array{write: list<array{float, float}>, read: list<array{float, float}>, heat?: list<array{float, float}>}  $traces
     * @param  string|null  $cutShort  why the medium went away, if it did
     */
    public static function of(
        Result $result,
        array $traces,
        bool $stopped,
        ?string $cutShort,
        ?string $note = null,
        ?Checkpoint $checkpoint = null,
    ): self {
        return new self(RunState::ended($stopped, $cutShort), $result, $traces, $cutShort ?? $note, checkpoint: $checkpoint);
    }

    public static function failed(string $message): self
    {
        return new self(RunState::Failed, null, null, $message);
    }

    public static function neverBegun(): self
    {
        return new self(RunState::Stopped, null, null, 'Stopped before it began.');
    }

    public function withNote(?string $note): self
    {
        return $this->with(message: $this->message ?? $note);
    }
}
