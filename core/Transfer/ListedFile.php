<?php

declare(strict_types=1);

namespace Tally\Transfer;

use JsonSerializable;

/** A file as it came from the card, with its checksums. */
final readonly class ListedFile implements JsonSerializable
{
    /**
     * @param  string  $path  from the folder of the card
     * @param  int  $size  bytes
     * @param  int  $changed  seconds since 1970
     * @param  int  $nano  of that second
     */
    public function __construct(
        public string $path,
        public int $size,
        public int $changed,
        public int $nano,
        public Sums $sums,
    ) {}

    public static function of(SourceFile $file, Sums $sums): self
    {
        return new self($file->path, $file->size, $file->changed, $file->nano, sums: $sums);
    }

    public function isOf(SourceFile $file): bool
    {
        return $file->size === $this->size && $file->changed === $this->changed && $file->nano === $this->nano;
    }

    /**
     * A name whose bytes are no text stands as it can be shown, and whole in base64 beside it.
     *
     * @return array<string, string|int>
     */
    public function jsonSerialize(): array
    {
        $isText = mb_check_encoding($this->path, 'UTF-8');

        return [
            'path' => $isText ? $this->path : FilePath::shown($this->path),
            ...$isText ? [] : ['path64' => base64_encode($this->path)],
            'bytes' => $this->size,
            'changed' => sprintf('%d.%09d', $this->changed, $this->nano),
            'xxh128' => $this->sums->xxh128,
            'sha256' => $this->sums->sha256,
        ];
    }
}
