<?php

declare(strict_types=1);

namespace Tally\Shoot\Written;

use Tally\Quantity\Bytes;
use Tally\Quantity\Span;
use Tally\Shoot\Calibration;
use Tally\Value\Row;
use Tally\Value\WrongField;

/** How much fits on how much: `["160 GB", "79 min"]`. */
#[Row]
final readonly class WrittenLength
{
    /** @throws WrongField */
    public function __construct(public Bytes $size, public Span $length)
    {
        if ($size->isZero() || $length->seconds <= 0) {
            throw new WrongField('0', 'size and length are above nothing, such as ["160 GB", "79 min"].');
        }
    }

    /**
     * @param  list<Calibration>  $calibrations
     * @return list<self> of clips, or of what the camera says
     */
    public static function of(array $calibrations, bool $isClip): array
    {
        $wanted = array_values(array_filter($calibrations, fn (Calibration $one): bool => $one->isClip === $isClip));

        return array_map(fn (Calibration $one): self => new self($one->size, $one->length), $wanted);
    }
}
