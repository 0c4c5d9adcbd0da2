<?php

declare(strict_types=1);

namespace Tally\Record;

/** How a run was asked for: one class for each kind. */
interface Parameters
{
    /** @return array<string, mixed> for JSON */
    public function pack(): array;

    /** @throws NotUsable when it is none of this kind */
    public static function unpack(Fields $record): self;

    /** How many times it goes through: for telling how far it has come. */
    public function rounds(): int;
}
