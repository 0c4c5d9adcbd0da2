<?php

declare(strict_types=1);

namespace Tests\Core\Device;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Device\HostLoad;
use Tally\Device\Load;

/** What the processors do while a card is measured: our own part of it, and that of others. */
final class HostLoadTest extends TestCase
{
    public function test_no_time_at_all_tells_nothing(): void
    {
        self::assertNull(($now = HostLoad::now())->until($now));
    }

    public function test_the_work_of_processes_that_this_one_began_is_its_own(): void
    {
        $before = HostLoad::now();
        $began = hrtime(true);
        // Until it has worked for so long itself, however long that takes here.
        $worked = '$t = fn () => getrusage()["ru_utime.tv_sec"] + getrusage()["ru_utime.tv_usec"] / 1e6; while ($t() < 0.7); '.
            'echo "done"; fgets(STDIN);';
        $child = proc_open([PHP_BINARY, '-n', '-r', $worked], [['pipe', 'r'], ['pipe', 'w']], $pipes);
        assert(is_resource($child) && isset($pipes[0], $pipes[1]));
        self::assertSame('done', fread($pipes[1], 4));
        $own = function () use ($before, $began): float {
            $load = $before->until(HostLoad::now());
            self::assertNotNull($load);

            return (($load->all - $load->others) * $load->processors * (hrtime(true) - $began)) / 1e9;
        };
        self::assertGreaterThan(0.6, $own(), 'while it lives');
        fclose($pipes[0]);
        proc_close($child);
        self::assertGreaterThan(0.6, $own(), 'when it has ended');
    }

    /** @return iterable<string, array{Load, bool}> */
    public static function loads(): iterable
    {
        yield 'quiet' => [new Load(0.05, 0.02, 2), false];
        yield 'all of it its own' => [new Load(1.0, 0.0, 2), false];
        yield 'others take more than a processor leaves' => [new Load(0.6, 0.51, 2), true];
        yield 'others take less, and there is room' => [new Load(0.7, 0.45, 2), false];
        yield 'others take less, and there is none' => [new Load(0.95, 0.3, 2), true];
        yield 'a little is always something' => [new Load(1.0, 0.2, 2), false];
        yield 'of eight, five' => [new Load(0.7, 0.625, 8), false];
        yield 'of eight, more than seven' => [new Load(0.99, 0.9, 8), true];
        yield 'of one, half' => [new Load(0.6, 0.55, 1), true];
    }

    #[DataProvider('loads')]
    public function test_whether_others_held_it_back(Load $load, bool $held): void
    {
        self::assertSame($held, $load->heldBack());
    }

    public function test_it_says_how_busy_they_were(): void
    {
        self::assertSame('its 2 processors were 34 % busy, 4 % with other programs', (new Load(0.341, 0.038, 2))->words());
        self::assertSame('its processor was 100 % busy, 0 % with other programs', (new Load(1, 0.004, 1))->words());
    }
}
