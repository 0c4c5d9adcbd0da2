<?php

declare(strict_types=1);

namespace Tally\Transfer;

use JsonSerializable;

/** What was found on a card: how much, and by what it is known again. */
final readonly class Contents implements JsonSerializable
{
    /** Names that are left out are named up to so many. */
    private const NAMED = 50;

    /**
     * @param  string  $digest  of all paths, sizes and dates: the same card with the same files on it has the same one
     * @param  list<string>  $leftOut  what is no file, or cannot be read, as it can be shown; some of them
     */
    public function __construct(
        public int $bytes,
        public int $files,
        public string $digest,
        public array $leftOut = [],
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
            count($left),
        );
    }

    /** @return array<mixed> */
    public function jsonSerialize(): array
    {
        return get_object_vars($this);
    }

    /** @param  array<mixed>  $packed */
    public static function unpack(array $packed): self
    {
        $number = fn (string $key): int => is_int($packed[$key] ?? null) ? $packed[$key] : 0;

        return new self(
            $number('bytes'),
            $number('files'),
            is_string($packed['digest'] ?? null) ? $packed['digest'] : '',
            array_values(array_filter(is_array($packed['leftOut'] ?? null) ? $packed['leftOut'] : [], is_string(...))),
            $number('leftOutCount'),
        );
    }
}
