<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\Artisan;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** The label reader in the terminal. */
final class LabelCommandTest extends TestCase
{
    /**
     * @return array<string, mixed>
     */
    private static function said(string $line, int $code = 0): array
    {
        self::assertSame($code, Artisan::call('tally:label', ['line' => $line, '--json' => true]), $line);
        $said = json_decode(Artisan::output(), true, 32, JSON_THROW_ON_ERROR);
        self::assertIsArray($said);

        return array_combine(array_map(strval(...), array_keys($said)), array_values($said));
    }

    public function test_every_field_is_there_whether_it_was_printed_or_not(): void
    {
        $said = self::said('128GB SDXC II U3 V60 250MB/s 1066x Marrowick');
        foreach (['form', 'capacity', 'family', 'bus', 'marks', 'read', 'write', 'sustained', 'times', 'unknown', 'findings'] as $field) {
            self::assertArrayHasKey($field, $said);
        }
        self::assertSame(
            ['sd', 128_000_000_000, 'SDXC', 'uhs-ii', ['U3', 'V60']],
            [$said['form'], $said['capacity'], $said['family'], $said['bus'], $said['marks']],
        );
        self::assertEquals([250e6, null, null, 1066], [$said['read'], $said['write'], $said['sustained'], $said['times']]);
        self::assertSame(['Marrowick'], $said['unknown']);
    }

    /** @return iterable<string, array{string, string, string}> line, finding, severity */
    public static function findings(): iterable
    {
        yield 'V90 on one row' => ['64GB SDXC I V90 90MB/s', 'mark-on-bus', 'contradiction'];
        yield 'a capacity outside its family' => ['64GB SDHC I 90/80MB/s', 'capacity-outside-family', 'contradiction'];
        yield 'a write below its class' => ['64GB SDXC II V60 280/50MB/s', 'write-under-floor', 'contradiction'];
        yield 'a claim above the bus' => ['64GB SDXC I 300/90MB/s', 'claim-above-bus', 'contradiction'];
        yield 'a claim for the matching reader' => ['64GB SDXC I V30 170/90MB/s', 'needs-matching-reader', 'note'];
        yield 'marks that disagree' => ['64GB SDXC I U3 V10 95/90MB/s', 'marks-disagree', 'doubt'];
        yield 'a rating that disagrees' => ['64GB SDXC I 633x 150/90MB/s', 'rating-and-speed', 'doubt'];
        yield 'no speed at all' => ['64GB SDXC I U3', 'no-speed', 'doubt'];
        yield 'only a read speed' => ['64GB SDXC I U3 95MB/s', 'only-read', 'note'];
        yield 'only peaks' => ['64GB SDXC I 95/90MB/s', 'only-peak', 'note'];
        yield 'a mark of another kind of card' => ['64GB SDXC I VPG65 95/90MB/s', 'mark-on-form', 'contradiction'];
    }

    #[DataProvider('findings')]
    public function test_findings_come_with_severity_reason_and_source(string $line, string $id, string $severity): void
    {
        $said = self::said($line, $severity === 'contradiction' ? 1 : 0);
        self::assertIsArray($said['findings']);
        $found = array_values(array_filter($said['findings'], fn (mixed $finding): bool => is_array($finding) && $finding['id'] === $id));
        self::assertCount(1, $found);
        self::assertSame($severity, $found[0]['severity']);
        self::assertNotSame('', $found[0]['reason']);
        self::assertNotSame('', $found[0]['source']);
    }

    public function test_a_speed_that_no_card_of_the_form_has_is_not_missing(): void
    {
        $said = self::said('64GB SDXC I U3 12,500 GB/s');
        self::assertNull($said['read']);
        self::assertSame(['12,500 GB/s'], $said['unknown']);
        self::assertSame([], $said['findings']);
    }

    public function test_nothing_is_judged_while_form_or_capacity_is_missing(): void
    {
        self::assertSame([], self::said('V90 UHS-I 900MB/s')['findings']);
    }
}
