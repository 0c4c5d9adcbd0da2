<?php

declare(strict_types=1);

namespace App\Stations;

use App\Models\Stations\Station;
use Tally\Probe\EngineGauge;

/** What a bench itself gives is measured when it begins for the first time, and again when its code or its machine has changed. */
final readonly class BenchEngine
{
    /** Where the engine lies, from the folder of the application. */
    private const CODE = ['core/Pattern', 'core/Device', 'core/Probe'];

    public static function measure(Station $station): void
    {
        $of = self::of();
        if ($station->engine_of === $of) {
            return;
        }
        $gives = EngineGauge::onMemory();
        $station->forceFill([
            'engine_write' => $gives['write'] ?? null,
            'engine_read' => $gives['read'] ?? null,
            'engine_of' => $of,
        ])->save();
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
