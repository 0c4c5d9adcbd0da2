<?php

declare(strict_types=1);

namespace Tally\Transfer\Filed;

use InvalidArgumentException;
use Tally\Transfer\FileEntry;

/** The record beside a copy, as far as it is read back. */
final readonly class FiledRecord
{
    /**
     * @param  list<FileEntry>  $files
     *
     * @throws InvalidArgumentException when it is of another format
     */
    public function __construct(string $format, int $version, public array $files = [])
    {
        if ($format !== CopyRecord::FORMAT || $version !== CopyRecord::VERSION) {
            throw new InvalidArgumentException('its format is another: “'.CopyRecord::FORMAT.'”, version '.CopyRecord::VERSION.' would do.');
        }
    }
}
