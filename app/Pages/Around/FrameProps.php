<?php

declare(strict_types=1);

namespace App\Pages\Around;

/** What stands around every page, but for the cards, which come apart. */
final readonly class FrameProps
{
    /**
     * @param  list<StageProps>  $stages
     * @param  int  $going  runs going or waiting at this station
     * @param  int  $cards  how many there are in all
     */
    public function __construct(
        public string $station,
        public bool $worker,
        public int $going,
        public array $stages,
        public int $cards,
        public int $unproven,
        public int $due,
    ) {}
}
