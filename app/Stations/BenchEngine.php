<?php

declare(strict_types=1);

namespace App\Stations;

use App\Models\Stations\Station;
use Closure;
use Tally\Device\HostLoad;
use Tally\Measured\Instrument;
use Tally\Pattern\TestPattern;
use Tally\Probe\EngineGauge;
use Tally\Quantity\Bytes;

/**
 * What a bench itself gives is measured when it begins for the first time, and again when its code or its machine has changed, or
 * others took its processors meanwhile.
 */
final readonly class BenchEngine
{
    /** Where the engine lies, from the folder of the application. */
    private const CODE = ['core/Pattern', 'core/Device', 'core/Probe'];

    /** @param  (Closure(): Instrument)|null  $gauge  what measures it */
    public static function measure(Station $station, ?Closure $gauge = null): void
    {
        $of = self::of();
        if ($station->engine_of === $of) {
            return;
        }
        $gives = ($gauge ?? self::gauge(...))();
        $station->forceFill([
            'engine_write' => $gives->write,
            'engine_read' => $gives->read,
            'engine_of' => $gives->wasBusy || $gives->write === null ? null : $of,
        ])->save();
    }

    /**
     * What a run is measured by. In larger blocks than the usual one the engine gives less than half: then it is measured anew.
     *
     * @param  Bytes|null  $block  how much the run moves in one call; null for as much as usual
     */
    public static function inBlocks(?Bytes $block, ?Instrument $usual): ?Instrument
    {
        return $block === null || $block->count <= TestPattern::BLOCK ? $usual : self::gauge($block->count);
    }

    private static function gauge(int $block = TestPattern::BLOCK): Instrument
    {
        $before = HostLoad::now();
        $gives = EngineGauge::onMemory($block);
        $bench = new Instrument($gives['write'] ?? null, $gives['read'] ?? null);
        $load = $before->until(HostLoad::now());

        return $load === null ? $bench : $bench->during($load);
    }

    /** By which a code and a machine are known again. */
    private static function of(): string
    {
        $sum = hash_init('xxh128');
        foreach (self::CODE as $folder) {
            $files = glob(base_path("{$folder}/{,*/}*.php"), GLOB_BRACE);
            foreach ($files === false ? [] : $files as $file) {
                hash_update_file($sum, $file);
            }
        }
        preg_match_all('/^model name.*$/m', (string) @file_get_contents('/proc/cpuinfo'), $processors);
        hash_update($sum, PHP_VERSION.php_uname('n').implode("\n", $processors[0]));

        return hash_final($sum);
    }
}
