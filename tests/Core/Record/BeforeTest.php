<?php

declare(strict_types=1);

namespace Tests\Core\Record;

use PHPUnit\Framework\TestCase;
use Tally\Chain\HostLink;
use Tally\Label\Bus;
use Tally\Label\Form;
use Tally\Measured\Chain;
use Tally\Record\Before;
use Tally\Value\Values;

/** Shapes that earlier versions kept, in the shape of today. */
final class BeforeTest extends TestCase
{
    private const LINK = [
        'name' => 'R3, USB 5 Gb/s, Cart tower port 3',
        'nominal' => 500_000_000,
        'practical' => 450_000_000,
        'source' => 'USB 3.2 specification, 8b/10b',
    ];

    /** @return array<string, mixed> */
    private static function path(float $bus, bool $isNamed = true): array
    {
        return [
            'named' => $isNamed,
            'links' => [['name' => 'the bus', 'nominal' => $bus, 'practical' => null, 'source' => 'x'], self::LINK],
        ];
    }

    public function test_the_bus_of_a_path_is_known_by_what_it_carries_on_paper(): void
    {
        $chain = Values::read(Chain::class, Before::chain(self::path(Bus::UhsI->ceiling()->nominal->bytesPerSecond), Form::Sd));
        self::assertSame([Bus::UhsI], $chain->slot);
        self::assertSame('R3, USB 5 Gb/s, Cart tower port 3', $chain->host?->name);
        // Practice of a link was one figure; the low end is what the kind of link gives.
        self::assertEquals(HostLink::UsbGen1->ceiling()->least(), $chain->host->ceiling->least());
        self::assertEquals(450e6, $chain->host->ceiling->usable()->bytesPerSecond);
        self::assertTrue($chain->isNamed());
    }

    public function test_a_bus_that_such_a_card_does_not_speak_is_not_guessed(): void
    {
        self::assertSame([], Before::chain(self::path(123_456_789), Form::Sd)['slot']);
        self::assertSame([], Before::chain(self::path(Bus::Udma7->ceiling()->nominal->bytesPerSecond), Form::Sd)['slot']);
    }

    public function test_a_path_that_nobody_named_stays_unnamed(): void
    {
        $chain = Values::read(Chain::class, Before::chain(self::path(104e6, false), Form::Sd));
        self::assertFalse($chain->isNamed());
        self::assertNull($chain->host);
    }

    public function test_a_chain_of_today_is_left_alone(): void
    {
        $chain = ['reader' => 'R1', 'slot' => ['uhs-ii'], 'host' => null, 'camera' => false];
        self::assertSame($chain, Before::chain($chain, Form::Sd));
    }

    public function test_a_folder_that_was_proven_as_far_as_it_goes_is_told_from_a_part(): void
    {
        self::assertSame(
            ['folder' => true, 'shown' => 5],
            array_intersect_key(Before::proof(['size' => 5, 'whole' => false], ['size' => 0]), ['folder' => 1, 'shown' => 1]),
        );
        $extent = fn (bool $whole, int $asked): array => array_values(
            array_intersect_key(Before::proof(['size' => 5, 'whole' => $whole], ['size' => $asked]), ['folder' => 1, 'shown' => 1]),
        );
        self::assertSame([true, null], $extent(false, 5));
        self::assertSame([false, 5], $extent(true, 0));
    }

    public function test_an_end_in_errors_is_no_longer_called_a_fake(): void
    {
        $proof = fn (string $condition, array $classes): mixed => Before::proof(
            ['size' => 100, 'whole' => true, 'condition' => $condition, 'classes' => $classes],
            [],
        )['condition'];
        self::assertSame('refuses', $proof('drops', ['holds' => 40, 'unreadable' => 60]));
        self::assertSame('drops', $proof('drops', ['holds' => 40, 'blank' => 60]));
        self::assertSame('drops', $proof('drops', ['holds' => 40, 'blank' => 30, 'unreadable' => 30]));
        self::assertSame('patchy', $proof('patchy', ['holds' => 40, 'unreadable' => 60]));
    }
}
