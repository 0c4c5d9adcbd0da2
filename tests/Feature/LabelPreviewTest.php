<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Cards\Card;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

final class LabelPreviewTest extends TestCase
{
    public function test_a_line_comes_back_as_fields_with_what_they_were_read_from(): void
    {
        $answer = $this->postJson('/intake/preview', ['line' => 'Corvane 128GB SDXC II U3 V60 250MB/s 1066x'])->assertOk();
        $fields = array_column((array) $answer->json('line.fields'), 'value', 'field');
        self::assertSame(
            ['form' => 'sd', 'capacity' => '128 GB', 'family' => 'SDXC', 'bus' => 'uhs-ii', 'read' => '250 MB/s', 'times' => '1066x'],
            $fields,
        );
        self::assertSame(['U3', 'V60'], $answer->json('line.marks'));
        self::assertSame(['Corvane'], $answer->json('line.unknown'));
        $from = array_column((array) $answer->json('line.fields'), 'from', 'field');
        self::assertSame('SDXC II', $from['bus']);
        // The same answer says what the label promises with the line filled in.
        self::assertSame(['U3', 'V60'], array_column((array) $answer->json('promises'), 'mark'));
        self::assertNull($this->postJson('/intake/preview', ['capacity' => '64 GB'])->json('line'));
    }

    public function test_the_fields_of_a_line_can_be_saved_as_they_came(): void
    {
        $answer = $this->postJson('/intake/preview', ['line' => '128GB SDXC II U3 V60 R 250MB/s W 1040 Mb/s sustained 62,5 MB/s']);
        $fields = array_column((array) $answer->json('line.fields'), 'value', 'field');
        $this->post('/cards', [
            'tag' => 'L-1',
            'name' => 'Corvane',
            'marks' => $answer->json('line.marks'),
            ...$fields,
        ])->assertSessionHasNoErrors();
        $card = Card::query()->where('tag', 'L-1')->firstOrFail();
        self::assertSame(250e6, $card->read?->bytesPerSecond);
        self::assertSame(130e6, $card->write?->bytesPerSecond);
        self::assertSame(62.5e6, $card->sustained?->bytesPerSecond);
    }

    /** @return iterable<string, array{mixed}> */
    public static function oddities(): iterable
    {
        yield 'nothing' => [null];
        yield 'a list' => [['SDXC']];
        yield 'a novel' => [str_repeat('SDXC II 128GB ', 500)];
        yield 'broken text' => ["\xB1\x31 128GB"];
        yield 'markup' => ['<script>alert(1)</script> 64GB'];
    }

    #[DataProvider('oddities')]
    public function test_odd_lines_are_answered_all_the_same(mixed $line): void
    {
        $this->post('/intake/preview', ['line' => $line])->assertOk();
    }

    public function test_a_preview_says_what_is_promised_and_what_is_not(): void
    {
        $answer = $this->postJson('/intake/preview', [
            'form' => 'sd',
            'capacity' => '128 GB',
            'family' => 'SDXC',
            'bus' => 'uhs-ii',
            'marks' => ['V60'],
            'read' => '250 MB/s',
            'contact_rows' => '1',
        ])->assertOk();
        self::assertSame([['mark' => 'V60', 'megabytes' => '60 MB/s', 'megabits' => '480 Mb/s']], $answer->json('promises'));
        self::assertSame(['no write speed'], $answer->json('silent'));
        self::assertSame(
            'It has one row of contacts, which is UHS-I at the most, and says UHS-II and V60: that needs two.',
            $answer->json('findings.0.rest'),
        );
        self::assertSame('250 MB/s', $answer->json('reach.0.rate'));
        self::assertSame('ends at the card’s own claim', $answer->json('reach.0.why'));
        self::assertNull($answer->json('reach.6.rate'));
        $this->assertDatabaseCount('cards', 0);
    }

    public function test_what_cannot_be_read_yet_counts_as_not_printed(): void
    {
        $answer = $this->postJson('/intake/preview', [
            'form' => 'sd',
            'capacity' => '12',
            'family' => 'SDXC',
            'bus' => 'uhs-',
            'marks' => ['V61', 7],
            'read' => '95m',
            'times' => 'x',
            'contact_rows' => '9',
        ])->assertOk();
        self::assertSame([], $answer->json('promises'));
        self::assertContains('no read speed', (array) $answer->json('silent'));
        $this->postJson('/intake/preview', [])->assertOk();
        $this->postJson('/intake/preview', ['marks' => 'V60'])
            ->assertUnprocessable()
            ->assertJsonPath('errors.marks.0', 'The marks were not sent as a list. Tick the ones that are printed.');
    }

    public function test_in_the_terminal(): void
    {
        $this->command('tally:label', ['line' => '128GB SDXC II U3 V60 250MB/s'])
            ->expectsOutputToContain('V60 (at least 60 MB/s)')
            ->assertExitCode(0);
        $this->command('tally:label', ['line' => '128GB SDXC I V90'])
            ->expectsOutputToContain('contradiction: V90 cannot stand on a UHS-I card')
            ->assertExitCode(1);
        $this->command('tally:label', ['line' => ' '])->assertExitCode(2);
        $this->command('tally:label', ['line' => 'XQD 120GB', '--json' => true])
            ->expectsOutputToContain('"form":"xqd","capacity":120000000000,"family":null')
            ->assertExitCode(0);
    }
}
