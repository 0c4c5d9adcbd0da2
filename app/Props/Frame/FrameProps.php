<?php

declare(strict_types=1);

namespace App\Props\Frame;

/** What stands around every page. */
final readonly class FrameProps
{
    /**
     * @param  list<TagProps>  $tray
     * @param  list<StageProps>  $stages
     * @param  int  $going  runs going or waiting at this station
     */
    public function __construct(
        public string $station,
        public bool $worker,
        public int $going,
        public array $tray,
        public array $stages,
    ) {}
}
