<?php

declare(strict_types=1);

namespace Tests\Core\Label;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Label\Family;
use Tally\Quantity\Bytes;

final class FamilyTest extends TestCase
{
    /** @return iterable<string, array{Family, int, bool}> Source: SD Association, capacity standards. */
    public static function edges(): iterable
    {
        $gb = 1_000_000_000;
        yield 'SD to 2 GB' => [Family::Sd, 2 * $gb, true];
        yield 'SD ends there' => [Family::Sd, 2 * $gb + 1, false];
        yield 'SDHC begins above 2 GB' => [Family::Sdhc, 2 * $gb, false];
        yield 'SDHC just above' => [Family::Sdhc, 2 * $gb + 1, true];
        yield 'SDHC to 32 GB' => [Family::Sdhc, 32 * $gb, true];
        yield 'SDHC ends there' => [Family::Sdhc, 32 * $gb + 1, false];
        yield 'SDXC begins above 32 GB' => [Family::Sdxc, 32 * $gb, false];
        yield 'SDXC to 2 TB' => [Family::Sdxc, 2000 * $gb, true];
        yield 'SDXC ends there' => [Family::Sdxc, 2000 * $gb + 1, false];
        yield 'SDUC begins above 2 TB' => [Family::Sduc, 2000 * $gb, false];
        yield 'SDUC to 128 TB' => [Family::Sduc, 128_000 * $gb, true];
        yield 'SDUC ends there' => [Family::Sduc, 128_000 * $gb + 1, false];
    }

    #[DataProvider('edges')]
    public function test_a_family_holds_its_capacities_and_no_others(Family $family, int $capacity, bool $holds): void
    {
        self::assertSame($holds, $family->holds(Bytes::of($capacity)));
    }
}
