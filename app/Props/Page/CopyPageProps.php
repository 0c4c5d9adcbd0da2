<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Copy\CopyProps;
use App\Props\Copy\CopySlotProps;
use App\Props\Label\CardProps;
use App\Props\Margin\MarginProps;
use App\Props\Run\RunningProps;
use App\Props\Typed\ChainChoicesProps;

/** All that the page Copy shows. */
final readonly class CopyPageProps implements PageProps
{
    /**
     * @param  list<CopyProps>  $copies
     * @param  list<CopySlotProps>  $slots
     * @param  list<string>  $folders  below which drives are found
     */
    public function __construct(
        public CardProps $card,
        public array $copies,
        public array $slots,
        public array $folders,
        public ChainChoicesProps $chain,
        public ?RunningProps $running,
        public string $today,
        public string $person,
        public MarginProps $margin,
    ) {}
}
