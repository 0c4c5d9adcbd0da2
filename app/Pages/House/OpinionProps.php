<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Shoot\ReasonProps;
use Tally\Verdict\VerdictKind;

/** What is said of one case. */
final readonly class OpinionProps
{
    /**
     * @param  string  $name  of the case, or its place in the list
     * @param  string  $label  capacity, bus, top mark
     * @param  string  $next  what would be done next
     * @param  list<ReasonProps>  $reasons  the notes behind them
     * @param  list<string>  $differs  where it is not what the file expects
     * @param  string  $because  why the file expects it
     */
    public function __construct(
        public string $name,
        public string $label,
        public VerdictKind $verdict,
        public string $next,
        public array $reasons,
        public array $differs,
        public string $because,
    ) {}
}
