<?php

declare(strict_types=1);

namespace Tally\Record;

/** What is kept of a finished run: one class for each kind. */
interface Result
{
    /** @return array<string, mixed> for JSON */
    public function pack(): array;

    /** @throws NotUsable when it is none of this kind */
    public static function unpack(Fields $record): self;
}
