<?php

declare(strict_types=1);

namespace App\Models\Stations;

/** A file system that lies on a raw medium, and what is in it. */
final readonly class Part
{
    /**
     * @param  string  $where  `partition 1`, or `the whole medium`
     * @param  string  $type  `exfat`; empty where none is known there
     * @param  int|null  $files  how many; null where nobody could look
     * @param  bool  $more  whether there are more than were counted
     * @param  list<string>  $names  some of them
     */
    public function __construct(
        public string $where = '',
        public int $bytes = 0,
        public string $type = '',
        public ?string $label = null,
        public ?int $files = null,
        public bool $more = false,
        public array $names = [],
    ) {}
}
