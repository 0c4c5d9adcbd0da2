<?php

declare(strict_types=1);

namespace App\Pages\Compare;

use App\Kit\ChoiceProps;

/**
 * Two readers, hosts, cables or cards side by side.
 *
 * @phpstan-import-type PairProps from ComparePage
 * @phpstan-import-type SideProps from ComparePage
 */
final readonly class CompareProps
{
    /**
     * @param  string  $by  reader, host, cable or card
     * @param  string  $way  write or read
     * @param  list<ChoiceProps>  $choices  what can be chosen of that kind
     * @param  SideProps|null  $first  null while there is nothing to compare
     * @param  list<PairProps>  $pairs
     * @param  string  $verdict  what the difference is, or that it is inside the noise
     * @param  list<string>  $words  the percentages, each with its base
     * @param  string  $how  how it was compared, and what that leaves out
     * @param  string  $amount  of a typical offload, as typed
     * @param  SideProps|null  $second
     */
    public function __construct(
        public string $by,
        public string $way,
        public string $a,
        public string $b,
        public array $choices,
        public ?array $first,
        public ?array $second,
        public array $pairs,
        public string $verdict,
        public array $words,
        public string $how,
        public string $amount,
        public ?string $amountTrouble,
    ) {}
}
