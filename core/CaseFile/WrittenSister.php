<?php

declare(strict_types=1);

namespace Tally\CaseFile;

/** Another card of the house. */
final readonly class WrittenSister
{
    public function __construct(public ?string $serial = null, public string $tag = 'another card') {}
}
