<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/** `core/` knows the trade and nothing of the framework, the database or the page. */
final class ArchitectureTest extends TestCase
{
    /** What core may use besides itself and PHP. */
    private const ALLOWED = ['Tally\\', 'Brick\\Math\\', 'Random\\', 'FFI'];

    /** @return iterable<string, array{string}> */
    public static function files(): iterable
    {
        $core = dirname(__DIR__, 2).'/core';
        $files = new RecursiveIteratorIterator(new RecursiveDirectoryIterator($core, RecursiveDirectoryIterator::SKIP_DOTS));
        foreach ($files as $file) {
            assert($file instanceof SplFileInfo);
            yield substr($file->getPathname(), strlen($core) + 1) => [$file->getPathname()];
        }
    }

    #[DataProvider('files')]
    public function test_a_core_file_imports_no_framework(string $path): void
    {
        preg_match_all('/^use (?:function |const )?([\w\\\\]+)/m', (string) file_get_contents($path), $imports);
        $foreign = array_filter(
            $imports[1],
            fn (string $name): bool => str_contains($name, '\\') &&
                array_filter(self::ALLOWED, fn (string $start): bool => str_starts_with($name, $start)) === [],
        );
        self::assertSame([], array_values($foreign), "{$path} imports what core must not know");
    }

    #[DataProvider('files')]
    public function test_a_core_file_calls_no_helper_of_the_framework_and_reads_no_wall_clock(string $path): void
    {
        $code = '';
        foreach (token_get_all((string) file_get_contents($path)) as $token) {
            $isComment = is_array($token) && in_array($token[0], [T_COMMENT, T_DOC_COMMENT, T_CONSTANT_ENCAPSED_STRING], true);
            $code .= $isComment ? '' : (is_array($token) ? $token[1] : $token);
        }
        $forbidden =
            '/(?<![\w>:\\\\$])(?<!function )'.
            '(?:app|config|env|base_path|storage_path|now|collect|request|time|microtime|date|strtotime|env)\(/';
        self::assertSame(0, preg_match($forbidden, $code, $found), "{$path} calls ".($found[0] ?? ''));
        self::assertStringContainsString('declare(strict_types=1);', $code);
    }

    /** The rooms of `core/`: each may use those before it and none behind it, so that there are no circles. */
    private const ROOMS = [
        'Quantity', 'Chain', 'Label', 'Buying', 'Pattern', 'Device', 'Reading', 'Probe', 'Measured', 'Record', 'Transfer', 'Inspection',
        'Evidence', 'Verdict', 'Origin', 'CaseFile', 'Practice', 'Shoot', 'Ledger', 'Offload', 'StandIn',
    ];

    #[DataProvider('files')]
    public function test_a_room_of_core_uses_only_rooms_before_it(string $path): void
    {
        $room = explode('/', explode('/core/', $path)[1])[0];
        $place = array_search($room, self::ROOMS, true);
        self::assertIsInt($place, "{$room} stands nowhere in the list of rooms");
        preg_match_all('/\bTally\\\\(\w+)\\\\\w/', (string) file_get_contents($path), $used);
        foreach (array_unique($used[1]) as $other) {
            $at = array_search($other, self::ROOMS, true);
            self::assertTrue(is_int($at) && $at <= $place, "{$path} uses {$other}, which stands behind {$room}");
        }
    }

    /** What answers requests may use every room of the application; none of them may know that there are requests. */
    public function test_no_room_of_the_application_knows_http(): void
    {
        $app = dirname(__DIR__, 2).'/app';
        $rooms = array_diff((array) scandir($app), ['.', '..', 'Http', 'Providers']);
        exec('cd '.escapeshellarg($app).' && grep -rnE --exclude=Page.php "^use (App.Http|Illuminate.Http|Inertia)" '.implode(' ', $rooms), $found);
        self::assertSame([], $found);
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
            'require "vendor/autoload.php"; use Tally\StandIn\{Medium, StandInClock, StandInDevice};'.
            '$clock = new StandInClock; Tally\Probe\Proof\FullProof::on(new StandInDevice(Medium::parse("honest,size=1GB"), '.
            '$clock), $clock);'.
            'exit(class_exists("Illuminate\Foundation\Application", false) ? 8 : 0);';
        exec('cd '.escapeshellarg(dirname(__DIR__, 2)).' && php -r '.escapeshellarg($script).' 2>&1', $output, $code);
        self::assertSame(0, $code, implode("\n", $output));
    }
}
