<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Rules\DueRulesProps;
use App\Props\Rules\FitRulesProps;
use App\Props\Rules\HandTimesProps;
use App\Props\Rules\JudgeRulesProps;
use App\Props\Rules\RuleDraftProps;
use App\Props\Rules\RuleProps;

/** Every threshold that the house goes by. */
final readonly class RulesPageProps implements PageProps
{
    /**
     * @param  list<RuleProps>  $rules
     * @param  DueRulesProps  $due  those that are changed here
     * @param  RuleDraftProps|null  $draft  rules of judgement that are being tried
     * @param  int  $cards  that are due today
     */
    public function __construct(
        public array $rules,
        public JudgeRulesProps $judge,
        public DueRulesProps $due,
        public FitRulesProps $fit,
        public HandTimesProps $plan,
        public ?RuleDraftProps $draft,
        public int $cards,
        public string $person,
    ) {}
}
