<?php

declare(strict_types=1);

namespace Tally\Record;

use Tally\Quantity\Bytes;

/** How a sustained run was asked for. */
final readonly class SizeParameters implements Parameters
{
    /** @param  Bytes|null  $size  null for all there is */
    public function __construct(public ?Bytes $size = null) {}

    public static function unpack(Fields $record): self
    {
        $size = $record->count('size', 0);

        return new self($size === 0 ? null : Bytes::of($size));
    }

    public function pack(): array
    {
        return ['size' => $this->size->count ?? 0, 'runs' => 1];
    }

    public function rounds(): int
    {
        return 1;
    }
}
