<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Measure\ClaimLineProps;
use App\Props\Practice\PracticeAnswerProps;
use App\Props\Practice\PracticeDoneProps;
use App\Props\Practice\PracticeMoveProps;
use App\Props\Prove\CoreProps;

/** A made-up card on the bench. */
final readonly class PracticeRoundPageProps implements PageProps
{
    /**
     * @param  list<string>  $readers
     * @param  list<PracticeDoneProps>  $done
     * @param  list<PracticeMoveProps>  $moves
     * @param  PracticeAnswerProps|null  $answer  null until it was called
     */
    public function __construct(
        public int $id,
        public int $level,
        public string $levelWords,
        public int $seed,
        public string $label,
        public string $first,
        public string $asks,
        public array $readers,
        public string $clock,
        public array $done,
        public array $moves,
        public ClaimLineProps $claimLine,
        public ?CoreProps $core,
        public ?PracticeAnswerProps $answer,
        public string $person,
    ) {}
}
