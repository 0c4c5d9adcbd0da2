<?php

declare(strict_types=1);

namespace App\Pages\Card;

use App\Shoot\ReasonProps;
use Tally\Verdict\VerdictKind;

/** Why the verdict is what it is, what to take care of, what to do next. */
final readonly class MarginProps
{
    /**
     * @param  list<ReasonProps>  $reasons
     * @param  list<CautionProps>  $cautions
     * @param  string  $person  who is at the bench, as far as known
     * @param  OverruleProps|null  $overrule  what a person says instead
     */
    public function __construct(
        public VerdictKind $verdict,
        public array $reasons,
        public array $cautions,
        public StepProps $next,
        public string $tag,
        public string $person,
        public ?OverruleProps $overrule,
    ) {}
}
