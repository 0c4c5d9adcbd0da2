<?php

declare(strict_types=1);

namespace App\Pages\House;

/** The answer to a file of cases. */
final readonly class OpinionsProps
{
    /**
     * @param  string  $file  its name
     * @param  list<OpinionProps>  $cases  as many as are shown; those that differ first
     * @param  int  $count  how many there are
     * @param  int|null  $expected  of how many an answer is expected; null where of none
     * @param  int  $differing  how many differ from it
     */
    public function __construct(
        public string $file,
        public array $cases,
        public int $count,
        public ?int $expected,
        public int $differing,
    ) {}
}
