<?php

declare(strict_types=1);

namespace Tally\Device\Files;

use Tally\Device\Fault\CannotRead;
use Tally\Device\Fault\CannotSettle;
use Tally\Device\Fault\CannotWrite;
use Tally\Device\Fault\EndsRun;
use Tally\Pattern\Data;

/** The seam to a medium where whole files count and not bytes alone: numbered files, each of one piece. */
interface FileStore
{
    /**
     * Returns when the whole file is on the medium.
     *
     * @throws CannotWrite|CannotSettle|EndsRun
     */
    public function put(int $number, Data $data): void;

    /** @throws CannotRead|EndsRun */
    public function get(int $number, int $length): Data;

    /** Makes the host drop what it remembers of the files; false where it cannot be made to. */
    public function forget(): bool;

    /** Removes what it wrote. Safe to call twice. */
    public function clear(): void;
}
