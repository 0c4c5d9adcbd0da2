<?php

declare(strict_types=1);

namespace App\Props\Page;

use App\Props\Erased\ErasureProps;
use App\Props\Label\CardProps;
use App\Props\Margin\MarginProps;
use App\Props\Prove\CoreProps;
use App\Props\Prove\ProvingWaysProps;
use App\Props\Prove\TheirsProps;
use App\Props\Prove\UnfinishedProofProps;
use App\Props\Run\OrderProps;
use App\Props\Run\RunningProps;

/** All that the page Prove shows. */
final readonly class ProvePageProps implements PageProps
{
    /**
     * @param  list<ErasureProps>  $erasures
     * @param  list<TheirsProps>  $theirs
     */
    public function __construct(
        public CardProps $card,
        public ?CoreProps $core,
        public ?UnfinishedProofProps $unfinished,
        public ?ProvingWaysProps $ways,
        public array $erasures,
        public array $theirs,
        public string $by,
        public ?RunningProps $running,
        public OrderProps $order,
        public MarginProps $margin,
    ) {}
}
