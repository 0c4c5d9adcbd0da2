<?php

declare(strict_types=1);

namespace Tests\Core\Quantity;

use PHPUnit\Framework\TestCase;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;

/** A figure is printed the same by the core and by the browser: tests/Unit/drawing.test.ts reads the same cases. */
final class PrintedTest extends TestCase
{
    public function test_figures_are_printed_as_the_browser_prints_them(): void
    {
        $cases = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/cases/figures.json'), true);
        self::assertIsArray($cases);
        $rate = fn (mixed $figure): Rate => Rate::megabytesPerSecond(is_numeric($figure) ? (float) $figure : -1);
        $bytes = fn (mixed $figure): Bytes => Bytes::of(is_int($figure) ? $figure : -1);
        foreach (self::rows($cases, 'sizes') as $case) {
            self::assertSame($case[1], $bytes($case[0])->decimal());
        }
        foreach (self::rows($cases, 'binary') as $case) {
            self::assertSame($case[1], $bytes($case[0])->binary());
        }
        foreach (self::rows($cases, 'speeds') as $case) {
            self::assertSame([$case[1], $case[2]], array_map(
                fn (string $printed): string => substr($printed, 0, -strlen(' MB/s')),
                [$rate($case[0])->print(), $rate($case[0])->printDown()],
            ));
        }
    }

    /**
     * @param  array<mixed>  $cases
     * @return non-empty-list<list<mixed>>
     */
    private static function rows(array $cases, string $kind): array
    {
        $rows = is_array($cases[$kind]) ? array_values(array_map(fn (mixed $row): array => array_values((array) $row), $cases[$kind])) : [];

        return $rows === [] ? self::fail("No {$kind} are listed.") : $rows;
    }
}
