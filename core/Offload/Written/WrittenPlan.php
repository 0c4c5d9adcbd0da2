<?php

declare(strict_types=1);

namespace Tally\Offload\Written;

use Tally\Offload\PlanFile;
use Tally\Offload\Question\Drive;
use Tally\Offload\Question\Goal;
use Tally\Offload\Question\Host;
use Tally\Offload\Question\LadenCard;
use Tally\Offload\Question\Question;
use Tally\Offload\Question\Reader;
use Tally\Offload\Question\UnusableQuestion;
use Tally\Value\Format;

/** What a plan is asked for, as it is written down. */
#[Format(PlanFile::FORMAT, PlanFile::VERSION)]
final readonly class WrittenPlan
{
    /**
     * @param  list<WrittenHost>  $hosts
     * @param  list<WrittenReader>  $readers
     * @param  list<WrittenDrive>  $drives
     * @param  list<WrittenCard>  $cards
     * @param  array<string, string>  $links  reader or drive → “host port”
     */
    public function __construct(
        public array $hosts = [],
        public array $readers = [],
        public array $drives = [],
        public array $cards = [],
        public array $links = [],
        public WrittenRules $rules = new WrittenRules(),
    ) {}

    public static function of(Question $question, Goal $goal): self
    {
        return new self(
            hosts: array_map(WrittenHost::of(...), $question->hosts),
            readers: array_map(WrittenReader::of(...), $question->readers),
            drives: array_map(WrittenDrive::of(...), $question->drives),
            cards: array_map(WrittenCard::of(...), $question->cards),
            links: $question->links,
            rules: WrittenRules::of($question->rules, $goal),
        );
    }

    /** @throws UnusableQuestion when it contradicts itself */
    public function question(): Question
    {
        return new Question(
            hosts: array_map(fn (WrittenHost $one): Host => $one->host(), $this->hosts),
            readers: array_map(fn (WrittenReader $one): Reader => $one->reader(), $this->readers),
            drives: array_map(fn (WrittenDrive $one): Drive => $one->drive(), $this->drives),
            cards: array_map(fn (WrittenCard $one): LadenCard => $one->card(), $this->cards),
            links: $this->links,
            rules: $this->rules->rules(),
        );
    }
}
