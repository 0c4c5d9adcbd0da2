<?php

declare(strict_types=1);

namespace Tally\Probe\EarlyCheck;

use Tally\Reading\BlockMap;
use Tally\Reading\Diagnosis;

/** Why a write pass was ended early: some places that were written before have changed. */
final readonly class Alarm
{
    /**
     * @param  int  $at  bytes that were written by then
     * @param  list<Sample>  $samples  the places that were looked at
     */
    public function __construct(public int $at, public array $samples, public Diagnosis $diagnosis) {}

    /** What was seen, as a core sample with everything else open. */
    public function core(): BlockMap
    {
        return self::sample($this->samples);
    }

    /** @param  list<Sample>  $samples */
    public static function sample(array $samples): BlockMap
    {
        usort($samples, fn (Sample $a, Sample $b): int => $a->offset() <=> $b->offset());
        $core = new BlockMap();
        $end = 0;
        foreach ($samples as $sample) {
            foreach ($sample->patches as $patch) {
                if ($patch->offset >= $end) {
                    $core->add($patch);
                    $end = $patch->end();
                }
            }
        }

        return $core;
    }
}
