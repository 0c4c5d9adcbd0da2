<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Label\CardProps;
use App\Props\Margin\MarginProps;
use App\Props\Measure\ClaimLineProps;
use App\Props\Measure\CourseProps;
use App\Props\Run\OrderProps;
use App\Props\Run\RunningProps;
use App\Props\Run\RunProps;

/** All that the page Measure shows. */
final readonly class MeasurePageProps implements PageProps
{
    /**
     * @param  list<RunProps>  $runs
     */
    public function __construct(
        public CardProps $card,
        public ClaimLineProps $claimLine,
        public ?CourseProps $course,
        public array $runs,
        public ?RunningProps $running,
        public OrderProps $order,
        public MarginProps $margin,
    ) {}
}
