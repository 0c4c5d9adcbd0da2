<?php

declare(strict_types=1);

namespace App\EvidenceFile;

use App\Models\Runs\RunState;
use App\Models\Runs\Traces;
use App\Models\When;
use DateTimeImmutable;
use InvalidArgumentException;
use Tally\Evidence\Source;
use Tally\Label\Form;
use Tally\Measured\Chain;
use Tally\Reading\Course\Course;
use Tally\Record\Before;
use Tally\Record\Parameters;
use Tally\Record\Result;
use Tally\Record\RunKind;
use Tally\Record\RunSource;
use Tally\Value\NotUsable;
use Tally\Value\Values;

/** A run as a result file tells it. */
final readonly class FiledRun
{
    /**
     * @param  array<string, mixed>  $chain  as it was kept, perhaps by an earlier version
     * @param  array<string, mixed>  $parameters
     * @param  array<string, mixed>|null  $result  to the letter, as it was hashed
     * @param  string|null  $void  why it counts no longer
     * @param  string|null  $beside  what else was going on
     */
    public function __construct(
        public RunKind $kind,
        public RunState $state,
        public int $id = 0,
        public RunSource $source = RunSource::Device,
        public array $chain = [],
        public array $parameters = [],
        public ?array $result = null,
        public string $hash = '',
        public ?string $void = null,
        public ?string $beside = null,
        public ?Traces $traces = null,
        public ?DateTimeImmutable $startedAt = null,
        public ?DateTimeImmutable $endedAt = null,
    ) {}

    /** Whether it has something to tell, and counted where the file was made. */
    public function counted(): bool
    {
        return $this->result !== null && $this->void === null;
    }

    public function asSource(): Source
    {
        return new Source("run {$this->id}", $this->endedAt?->format(When::ISO_MOMENT), $this->source, $this->source === RunSource::Typed);
    }

    /** @throws NotUsable */
    public function result(string $at = 'result'): Result
    {
        return $this->kind->result($this->result ?? [], $this->parameters, $at);
    }

    /** @throws NotUsable */
    public function parameters(string $at = 'parameters'): Parameters
    {
        return $this->kind->parameters($this->parameters, $at);
    }

    /**
     * @param  Form  $form  of the card
     *
     * @throws NotUsable
     */
    public function chain(Form $form, string $at = 'chain'): Chain
    {
        return Values::read(Chain::class, Before::chain($this->chain, $form), $at);
    }

    /**
     * Whether all of it is what a run that has ended can be.
     *
     * @param  string  $at  where it stands in its file
     *
     * @throws NotAResult|NotUsable
     */
    public function mustHold(Form $form, string $at): void
    {
        if (Canonical::hash($this->result ?? []) !== $this->hash) {
            throw NotAResult::because('the hash of a result in it does not fit.');
        }
        if ($this->state->isGoing()) {
            throw NotUsable::field("{$at}.state", $this->state->value, 'a run in a result file has ended.');
        }
        $this->chain($form, "{$at}.chain");
        $this->parameters("{$at}.parameters");
        $this->result("{$at}.result");
        $this->mustGoForward("{$at}.traces");
    }

    /** @throws NotUsable where it comes back to what it had passed, or stands still */
    private function mustGoForward(string $at): void
    {
        $ways = array_filter(['write' => $this->traces->write ?? [], 'read' => $this->traces->read ?? []]);
        foreach ($ways as $way => $points) {
            try {
                new Course($points);
            } catch (InvalidArgumentException $fault) {
                throw NotUsable::field("{$at}.{$way}", $points, $fault->getMessage());
            }
        }
    }
}
