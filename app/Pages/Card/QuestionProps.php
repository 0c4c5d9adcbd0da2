<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** One thing to look at, with the answer that stands. */
final readonly class QuestionProps
{
    /**
     * @param  list<AnswerProps>  $answers
     * @param  string|null  $given  key of the answer that stands
     * @param  string|null  $seen  the same in words, by whom and when
     * @param  string  $code  what is known of the code that it asks for
     */
    public function __construct(
        public string $key,
        public string $asks,
        public string $how,
        public string $source,
        public bool $inReader,
        public array $answers,
        public ?string $given,
        public ?string $seen,
        public bool $trouble,
        public string $code,
    ) {}
}
