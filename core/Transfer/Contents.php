<?php

declare(strict_types=1);

namespace Tally\Transfer;

use Tally\Value\Key;

/** What was found on a card: how much, and by what it is known again. */
final readonly class Contents
{
    /** Names that are left out are named up to so many. */
    private const NAMED = 50;

    /**
     * @param  string  $digest  of all paths, sizes and dates: the same card with the same files on it has the same one
     * @param  list<string>  $leftOut  what is no file, or cannot be read, as it can be shown; some of them
     */
    public function __construct(
        public int $bytes = 0,
        public int $files = 0,
        public string $digest = '',
        #[Key('leftOut')]
        public array $leftOut = [],
        #[Key('leftOutCount')]
        public int $leftOutCount = 0,
    ) {}

    public static function of(Source $source): self
    {
        $sum = hash_init('xxh128');
        foreach ($source->files as $file) {
            hash_update($sum, "{$file->path}\0{$file->size} {$file->changed}.{$file->nano}\n");
        }
        $left = [...$source->skipped, ...array_map(fn (Trouble $trouble): string => $trouble->path, $source->troubles)];

        return new self(
            $source->bytes(),
            count($source->files),
            hash_final($sum),
            array_map(FilePath::shown(...), array_slice($left, 0, self::NAMED)),
            leftOutCount: count($left),
        );
    }
}
