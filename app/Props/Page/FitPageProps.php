<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Fit\BodyProps;
use App\Props\Fit\FitModeProps;
use App\Props\Fit\SchoolProps;
use App\Props\Fit\StopProps;
use App\Props\Fit\WallProps;
use App\Props\Label\CardProps;
use App\Props\Label\ChoiceProps;
use App\Props\Margin\ReasonProps;

/** All that the page Fit shows: one card, or a label before anything is bought, in every mode. */
final readonly class FitPageProps implements PageProps
{
    /**
     * @param  CardProps|null  $card  null of a label alone
     * @param  string  $line  what it is, in a few words
     * @param  string  $holds  what was proven, or what its label says
     * @param  string  $asked  the words of the label that was asked for
     * @param  string  $complaint  why those words are no label; empty where they are
     * @param  list<FitModeProps>  $modes
     * @param  list<ChoiceProps>  $cameras
     * @param  list<SchoolProps>  $schools
     * @param  string  $decides  the key of the school that the house goes by
     * @param  string  $spare  the margin of the house, such as `1.25`
     * @param  string  $usable  the usable share, such as `1`
     * @param  list<WallProps>  $walls
     * @param  list<ReasonProps>  $reasons
     * @param  list<BodyProps>  $bodies
     * @param  list<StopProps>  $stops
     * @param  list<ChoiceProps>  $causes
     */
    public function __construct(
        public ?CardProps $card,
        public string $line,
        public string $holds,
        public string $asked,
        public string $complaint,
        public array $modes,
        public array $cameras,
        public array $schools,
        public string $decides,
        public string $spare,
        public string $usable,
        public array $walls,
        public array $reasons,
        public array $bodies,
        public array $stops,
        public array $causes,
        public string $person,
    ) {}
}
