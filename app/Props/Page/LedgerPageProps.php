<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Label\CardProps;
use App\Props\Ledger\DueProps;
use App\Props\Ledger\LifeProps;
use App\Props\Ledger\RetiredProps;
use App\Props\Margin\ReasonProps;

/** All that the page Ledger shows of a card. */
final readonly class LedgerPageProps implements PageProps
{
    /**
     * @param  string  $heading  such as `eleven months, 14 runs, 6 shoots`
     * @param  list<string>  $facts  what it is, what it cost, how much was written
     * @param  list<ReasonProps>  $reasons
     * @param  DueProps|null  $due  null where it is not tested again by any rule
     * @param  bool  $mayRetire  whether nothing keeps it from going out of service
     */
    public function __construct(
        public CardProps $card,
        public string $heading,
        public array $facts,
        public LifeProps $life,
        public array $reasons,
        public ?DueProps $due,
        public ?RetiredProps $retired,
        public bool $mayRetire,
        public string $person,
    ) {}
}
