<?php

declare(strict_types=1);

namespace Tally\Reading;

use Tally\Chain\Path;
use Tally\Label\Label;
use Tally\Quantity\Bytes;

/** What one speed run says about a card with this label, on this chain, over this region. */
final readonly class SpeedReading
{
    private function __construct(
        public ?WayReading $write,
        public ?WayReading $read,
        public Path $path,
        public Bytes $region,
        public int $wrong,
    ) {}

    /**
     * @param  list<float>  $writes  bytes a second
     * @param  list<float>  $reads
     * @param  int  $wrong  bytes that did not come back as written
     */
    public static function of(array $writes, array $reads, bool $forgot, Bytes $region, int $wrong, Path $path, ?Label $label): self
    {
        return new self(
            $writes === [] ? null : WayReading::of($writes, $label?->write, $path, true),
            $reads === [] ? null : WayReading::of($reads, $label?->readClaim(), $path, $forgot),
            $path,
            $region,
            $wrong,
        );
    }
}
