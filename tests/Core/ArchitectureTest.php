<?php

declare(strict_types=1);

namespace Tests\Core;

use Illuminate\Support\Str;
use PHPUnit\Framework\TestCase;
use Tests\Support\ParsedCode;

/** `core/` knows the trade and nothing of the framework, the database or the page. */
final class ArchitectureTest extends TestCase
{
    /** What core may use besides itself and PHP. */
    private const ALLOWED = ['Tally\\', 'Brick\\', 'Random\\', 'FFI'];

    /** Helpers of the framework, and wall clocks. */
    private const FORBIDDEN = [
        'app', 'base_path', 'collect', 'config', 'date', 'env', 'microtime', 'now', 'request', 'storage_path', 'strtotime', 'time',
    ];

    /** The rooms of `core/`: each may use those before it and none behind it, so that there are no circles. */
    private const CORE = [
        'Value', 'Quantity', 'Chain', 'Label', 'Buying', 'Pattern', 'Device', 'Reading', 'Probe', 'Measured', 'Transfer', 'Record',
        'Simulated', 'Inspection', 'Evidence', 'Verdict', 'Origin', 'CaseFile', 'Practice', 'Shoot', 'Ledger', 'Offload',
    ];

    /** The same of `app/`. */
    private const APP = [
        'Models', 'Rules', 'People', 'Tables', 'Print', 'Photos', 'Backup', 'Books', 'Compare', 'Gear', 'Evidence', 'Intake', 'Stations',
        'Offload', 'Erasing', 'Runs', 'EvidenceFile', 'Shoot', 'Ledger', 'Kit', 'Practice', 'Report', 'SecondOpinion', 'Tags', 'Worker',
        'Pages', 'Console', 'Http', 'Providers',
    ];

    public function test_core_knows_no_framework_calls_no_helper_of_one_and_reads_no_wall_clock(): void
    {
        $core = ParsedCode::below(dirname(__DIR__, 2).'/core');
        self::assertGreaterThan(400, count($core->classes));
        $foreign = [];
        foreach ($core->classes as $file => $classes) {
            foreach (array_keys($classes) as $class) {
                if (str_contains($class, '\\') && ! Str::startsWith($class, self::ALLOWED)) {
                    $foreign[] = "{$file} uses {$class}";
                }
            }
            foreach (array_intersect(array_keys($core->calls[$file]), self::FORBIDDEN) as $call) {
                $foreign[] = "{$file} calls {$call}()";
            }
        }
        self::assertSame([], $foreign);
        self::assertSame([], array_diff(array_keys($core->classes), array_keys($core->strict)), 'all of core declares strict types');
        self::assertSame([], $core->breaches('Tally', self::CORE));
    }

    /** What answers requests may use every room of the application; none of them may know that there are requests. */
    public function test_a_room_of_the_application_uses_only_rooms_before_it_and_knows_no_http(): void
    {
        $app = ParsedCode::below(dirname(__DIR__, 2).'/app');
        self::assertGreaterThan(300, count($app->classes));
        self::assertSame([], $app->breaches('App', self::APP));
        $knowing = [];
        foreach ($app->classes as $file => $classes) {
            $mayKnow = in_array(explode('/', $file)[0], ['Http', 'Providers'], true) || $file === 'Pages/Page.php';
            foreach ($mayKnow ? [] : array_keys($classes) as $class) {
                if (preg_match('/^(?:Illuminate\\\\Http|Inertia)\\\\/', $class) === 1) {
                    $knowing[] = "{$file} uses {$class}";
                }
            }
        }
        self::assertSame([], $knowing);
    }

    /** Held to what it is for: a circle is found, and one that is named in full is seen. */
    public function test_what_breaks_the_order_of_rooms_is_found(): void
    {
        $folder = sys_get_temp_dir().'/gritty-rooms-'.getmypid();
        mkdir("{$folder}/Low", recursive: true);
        mkdir("{$folder}/High");
        file_put_contents(
            "{$folder}/Low/One.php",
            '<?php namespace App\Low; final class One { /** App\High\Said */ function at(): void { new \App\High\Two(); } }',
        );
        file_put_contents("{$folder}/High/Two.php", '<?php namespace App\High; use App\Low\One; final class Two extends One {}');
        try {
            self::assertSame(
                ['Low/One.php uses App\High\Two, which stands behind Low'],
                ParsedCode::below($folder)->breaches('App', ['Low', 'High']),
            );
        } finally {
            array_map(unlink(...), ["{$folder}/Low/One.php", "{$folder}/High/Two.php"]);
            array_map(rmdir(...), ["{$folder}/Low", "{$folder}/High", $folder]);
        }
    }

    public function test_no_line_is_longer_than_a_screen_shows(): void
    {
        $root = dirname(__DIR__, 2);
        exec('cd '.escapeshellarg($root)." && git ls-files '*.php' '*.ts' '*.tsx' '*.mjs' bin start test", $files);
        self::assertGreaterThan(700, count($files));
        $long = [];
        foreach ($files as $file) {
            foreach (is_file("{$root}/{$file}") ? (array) file("{$root}/{$file}", FILE_IGNORE_NEW_LINES) : [] as $i => $line) {
                if (mb_strlen((string) $line) > 140) {
                    $long[] = "{$file}:".($i + 1);
                }
            }
        }
        self::assertSame([], $long);
    }

    /** Both tell what was true before: the one under a framework's error handler, the other for two minutes. */
    public function test_nobody_asks_for_the_last_error_or_trusts_the_memory_of_where_links_led(): void
    {
        $root = dirname(__DIR__, 2);
        exec(
            'grep -rnE "error_get_last\\(|[^:>\\w]realpath\\(" '.escapeshellarg("{$root}/core").' '.escapeshellarg("{$root}/app"),
            $found,
        );
        self::assertSame(
            [],
            array_values(array_filter($found, fn (string $line): bool => ! str_contains($line, '/core/Device/Host/RealPath.php:'))),
        );
    }

    public function test_core_loads_without_the_framework(): void
    {
        $script =
            'spl_autoload_register(function ($c) { if (str_starts_with($c, "Illuminate\\\\")) { exit(9); } }, true, true);'.
            'require "vendor/autoload.php"; use Tally\Simulated\{Medium, SimulatedClock, SimulatedDevice};'.
            '$clock = new SimulatedClock; Tally\Probe\Proof\FullProof::on(new SimulatedDevice(Medium::parse("honest,size=1GB"), '.
            '$clock), $clock);'.
            'exit(class_exists("Illuminate\Foundation\Application", false) ? 8 : 0);';
        exec('cd '.escapeshellarg(dirname(__DIR__, 2)).' && php -r '.escapeshellarg($script).' 2>&1', $output, $code);
        self::assertSame(0, $code, implode("\n", $output));
    }
}
