<?php

declare(strict_types=1);

namespace App\Pages\Card;

use App\Shoot\ReasonProps;

/** What a label means, while it is being typed. */
final readonly class PreviewProps
{
    /**
     * @param  LineProps|null  $line  what was read from the line, where one was given
     * @param  list<PromiseProps>  $promises
     * @param  list<string>  $silent  what the label does not say
     * @param  list<ReasonProps>  $findings
     * @param  string  $market  what such cards cost
     * @param  list<ReachProps>  $reach  the best reader first
     */
    public function __construct(
        public ?LineProps $line,
        public array $promises,
        public array $silent,
        public array $findings,
        public string $market,
        public array $reach,
    ) {}
}
