<?php

declare(strict_types=1);

namespace Tally\Reading;

use Tally\Chain\Path;
use Tally\Label\Label;
use Tally\Probe\SpeedPlan;
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
        private Bytes $from,
    ) {}

    /**
     * @param  list<float>  $writes  bytes a second
     * @param  list<float>  $reads
     * @param  Bytes  $region  nothing where nobody told how much was moved
     * @param  int  $wrong  bytes that did not come back as written
     * @param  Bytes|null  $from  where the region begins; null for the start
     * @param  list<string>  $disagree  `write`, `read`: which were typed with a size and a time that do not go with the speed
     */
    public static function of(array $writes, array $reads, bool $forgot, Bytes $region, int $wrong, Path $path, ?Label $label, ?Bytes $from = null, array $disagree = []): self
    {
        return new self(
            $writes === [] ? null : WayReading::of($writes, $label?->write, $path, true, in_array('write', $disagree, true)),
            $reads === [] ? null : WayReading::of($reads, $label?->readClaim(), $path, $forgot, in_array('read', $disagree, true)),
            $path,
            $region,
            $wrong,
            $from ?? Bytes::of(0),
        );
    }

    /** `first 1 GB`: which region the figures cover */
    public function covers(): string
    {
        return SpeedPlan::covering($this->region, $this->from);
    }
}
