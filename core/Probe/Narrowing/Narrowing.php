<?php

declare(strict_types=1);

namespace Tally\Probe\Narrowing;

use Tally\Device\Fault\EndsRun;
use Tally\Pattern\BlockClass;
use Tally\Probe\EarlyCheck\Alarm;
use Tally\Probe\EarlyCheck\Sample;
use Tally\Probe\EarlyCheck\Spots;
use Tally\Quantity\Bytes;
use Tally\Reading\Condition;
use Tally\Reading\Diagnosis;

/**
 * From a few places that came back wrong to what the medium is: whether it starts over and at which lap, or where its
 * memory ends. It writes and reads a few hundred blocks more at most, whatever the size, but for what a cache asks for.
 */
final readonly class Narrowing
{
    private Asking $asking;

    public function __construct(Spots $spots)
    {
        $this->asking = new Asking($spots);
    }

    /**
     * @param  list<Sample>  $samples  places that were written and read back, some of which came back wrong
     *
     * @throws EndsRun
     */
    public function of(array $samples): Diagnosis
    {
        usort($samples, fn (Sample $a, Sample $b): int => $a->offset() <=> $b->offset());

        return (new LapSearch($this->asking))->of($samples) ?? ((new EndSearch($this->asking))->of($samples) ?? $this->scattered($samples));
    }

    /** @param  list<Sample>  $samples */
    private function scattered(array $samples): Diagnosis
    {
        $bad = array_filter($samples, fn (Sample $sample): bool => ! $sample->holds());
        $elsewhere = array_filter($bad, fn (Sample $sample): bool => $sample->echoes() !== []);
        $isMixed = Diagnosis::isMuch(count($bad), count($samples)) && 2 * count($elsewhere) >= count($bad);
        $core = Alarm::sample($samples);
        $holding = $core->bytes(BlockClass::Holds) / max(1, $core->covered());

        return Diagnosis::found(
            $isMixed ? Condition::Aliases : Condition::Faulty,
            Bytes::of((int) ($this->asking->size() * $holding)),
            null,
            null,
            exact: false,
        );
    }
}
