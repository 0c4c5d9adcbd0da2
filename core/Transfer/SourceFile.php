<?php

declare(strict_types=1);

namespace Tally\Transfer;

/** A file of a card, as it was when its folder was looked through. */
final readonly class SourceFile
{
    /**
     * @param  string  $path  from the folder
     * @param  int  $size  bytes
     * @param  int  $changed  seconds since 1970
     * @param  int  $nano  of that second
     */
    public function __construct(public string $path, public int $size, public int $changed, public int $nano) {}
}
