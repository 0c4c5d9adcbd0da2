<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Practice\MistakeProps;
use App\Props\Practice\PracticeLevelProps;
use App\Props\Practice\PracticeRoundProps;

/** Where practice begins, and how it went. */
final readonly class PracticePageProps implements PageProps
{
    /**
     * @param  list<PracticeLevelProps>  $levels
     * @param  list<MistakeProps>  $mistakes  what was got wrong at all
     * @param  list<PracticeRoundProps>  $rounds  the newest first
     * @param  int|null  $open  a round that was not called yet
     * @param  string  $person  who is at the bench, as far as known
     */
    public function __construct(
        public array $levels,
        public array $mistakes,
        public array $rounds,
        public ?int $open,
        public string $person,
    ) {}
}
