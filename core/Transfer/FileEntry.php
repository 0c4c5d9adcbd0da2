<?php

declare(strict_types=1);

namespace Tally\Transfer;

use InvalidArgumentException;

/** A file as a record beside a copy, or the journal of one, tells it. */
final readonly class FileEntry
{
    public ListedFile $file;

    /**
     * @param  string  $path  from the folder of the card
     * @param  string  $changed  `1764500000.000000000`: seconds since 1970
     * @param  string|null  $path64  the whole name in base64, where its bytes are no text
     *
     * @throws InvalidArgumentException when a name leads out of the folder, or a sum is none
     */
    public function __construct(string $path, int $bytes, string $changed, string $xxh128, string $sha256, ?string $path64 = null)
    {
        if (preg_match('/^[0-9a-f]{32}$/D', $xxh128) !== 1 || preg_match('/^[0-9a-f]{64}$/D', $sha256) !== 1) {
            throw new InvalidArgumentException('“xxh128” has 32 hexadecimal digits, “sha256” has 64: give both.');
        }
        [$seconds, $nano] = [...explode('.', $changed, 2), '0'];
        $this->file = new ListedFile(
            FilePath::of($path64 === null ? $path : (string) base64_decode($path64, true))->path,
            $bytes,
            (int) $seconds,
            (int) $nano,
            sums: new Sums($xxh128, $sha256),
        );
    }
}
