<?php

declare(strict_types=1);

namespace App\Pages\Offload;

/** A copy that is not as it should be, and what can be done about it. */
final readonly class WrongCopyProps
{
    /**
     * @param  int  $copy  of this offload
     * @param  string  $lead  “QS-027: its copy on D4 is wrong. Do not clear.”
     * @param  list<string>  $found  what was found, the first one first
     * @param  string  $stay  where the card must stay
     * @param  bool  $hangs  whether it has not failed, but its medium does not answer
     * @param  list<string>  $drives  others that it can go onto
     * @param  bool  $isReal  whether a folder is to be said for another drive
     * @param  int|null  $grown  of this offload: the card, where it was written to since it was read
     */
    public function __construct(
        public int $copy,
        public string $drive,
        public string $lead,
        public array $found,
        public string $stay,
        public bool $hangs,
        public array $drives,
        public bool $isReal,
        public ?int $grown,
    ) {}
}
