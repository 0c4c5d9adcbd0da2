<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Inspect\QuestionProps;
use App\Props\Inspect\SeenProps;
use App\Props\Label\CardProps;
use App\Props\Label\ChoiceProps;
use App\Props\Margin\MarginProps;

/** All that the page Inspect shows. */
final readonly class InspectPageProps implements PageProps
{
    /**
     * @param  list<QuestionProps>  $questions
     * @param  list<SeenProps>  $history
     * @param  list<ChoiceProps>  $readers
     */
    public function __construct(
        public CardProps $card,
        public array $questions,
        public array $history,
        public array $readers,
        public string $person,
        public MarginProps $margin,
    ) {}
}
