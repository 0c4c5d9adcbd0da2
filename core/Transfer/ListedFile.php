<?php

declare(strict_types=1);

namespace Tally\Transfer;

use InvalidArgumentException;
use Tally\Record\Fields;
use Tally\Record\NotUsable;

/** A file as it came from the card, with its checksums. */
final readonly class ListedFile
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
        return new self($file->path, $file->size, $file->changed, $file->nano, $sums);
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
    public function pack(): array
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

    /** @throws NotUsable when a name leads out of the folder, or a field is no such thing */
    public static function unpack(Fields $packed): self
    {
        $path = $packed->has('path64') ? (string) base64_decode($packed->text('path64'), true) : $packed->text('path');
        try {
            $path = FilePath::of($path)->path;
        } catch (InvalidArgumentException $fault) {
            throw $packed->wrong('path', $fault->getMessage());
        }
        [$seconds, $nano] = [...explode('.', $packed->text('changed'), 2), '0'];
        $xxh128 = $packed->text('xxh128');
        $sha256 = $packed->text('sha256');
        if (preg_match('/^[0-9a-f]{32}$/', $xxh128) !== 1) {
            throw $packed->wrong('xxh128', '32 hexadecimal digits would do.');
        }
        if (preg_match('/^[0-9a-f]{64}$/', $sha256) !== 1) {
            throw $packed->wrong('sha256', '64 hexadecimal digits would do.');
        }

        return new self($path, $packed->integer('bytes'), (int) $seconds, (int) $nano, new Sums($xxh128, $sha256));
    }
}
