<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Rules\DueRulesProps;
use App\Props\Rules\RuleProps;

/** Every threshold that the house goes by. */
final readonly class RulesPageProps implements PageProps
{
    /**
     * @param  list<RuleProps>  $rules
     * @param  DueRulesProps  $due  those that are changed here
     * @param  int  $cards  that are due today
     */
    public function __construct(public array $rules, public DueRulesProps $due, public int $cards, public string $person) {}
}
