<?php

declare(strict_types=1);

namespace App\Pages\Practice;

use App\Shoot\ReasonProps;
use Tally\Verdict\VerdictKind;

/** What all evidence says, beside what was called. */
final readonly class PracticeAnswerProps
{
    /**
     * @param  list<string>  $mistakes  empty where all was right
     * @param  list<ReasonProps>  $reasons  the evidence that decides
     * @param  list<PracticeMoveProps>  $way  the shortest way to know it
     * @param  string  $took  what was used
     */
    public function __construct(
        public VerdictKind $verdict,
        public string $holds,
        public string $keeps,
        public string $was,
        public string $called,
        public array $mistakes,
        public array $reasons,
        public array $way,
        public string $shortest,
        public string $took,
    ) {}
}
