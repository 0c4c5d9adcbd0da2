<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\Artisan;
use PHPUnit\Framework\Attributes\DataProvider;
use Tally\Shoot\FitFile;
use Tally\Shoot\Written\WrittenCamera;
use Tally\Value\Values;
use Tests\Support\TemporaryFolder;
use Tests\TestCase;

/** `tally:fit`, `tally:minutes` and `tally:burst`. */
final class FitCommandTest extends TestCase
{
    use TemporaryFolder;

    /**
     * @param  array<string, mixed>  $asked
     * @return array{int, mixed} exit code, what was printed
     */
    private function answered(string $command, array $asked): array
    {
        $code = Artisan::call($command, [...$asked, '--json' => true]);

        return [$code, json_decode(Artisan::output(), true)];
    }

    /** @return array<string, mixed> */
    private function example(): array
    {
        $values = json_decode((string) file_get_contents(base_path('docs/examples/fit.json')), true);
        self::assertIsArray($values);

        return array_filter($values, is_string(...), ARRAY_FILTER_USE_KEY);
    }

    public function test_every_card_in_every_mode_by_whichever_school(): void
    {
        [$code, $printed] = $this->answered('tally:fit', ['file' => base_path('docs/examples/fit.json')]);
        self::assertSame(1, $code);
        self::assertIsArray($printed);
        $said = [];
        foreach ((array) $printed['answers'] as $answer) {
            self::assertIsArray($answer);
            $named = implode(' ', array_filter([$answer['card'], $answer['mode']], is_string(...)));
            $said[$named] = [$answer['may'], $answer['words'], $answer['shots'] ?? $answer['minutes']];
        }
        self::assertSame([true, '', 63], $said['QS-014 4K 60']);
        self::assertSame([false, 'falls to 45 MB/s', 42], $said['QS-014 4K all-intra']);
        self::assertSame([false, 'asks for V90', 28], $said['QS-014 4K 120']);
        self::assertSame([true, '', 5197], $said['QS-014 mapping stills']);
        self::assertSame([false, 'not measured', 63], $said['NEW 4K 60']);
        $shoot = $printed['shoot'];
        self::assertIsArray($shoot);
        self::assertSame([99, 36], [data_get($shoot, 'places.0.need'), data_get($shoot, 'places.0.missing')]);
        self::assertSame('QS-014', data_get($shoot, 'places.0.cards.0.card'));
        self::assertSame(['V60', 1], [data_get($shoot, 'buy.0.mark'), data_get($shoot, 'buy.0.cards')]);
        self::assertTrue(data_get($shoot, 'evenings.0.home'));
        [, $byMark] = $this->answered('tally:fit', ['file' => base_path('docs/examples/fit.json'), '--criterion' => 'mark']);
        self::assertIsArray($byMark);
        $may = array_map(fn (mixed $one): bool => is_array($one) && $one['may'] === true, (array) $byMark['answers']);
        // QS-014 falls under its own V60; what its U3 promises is enough for some. NEW all.
        self::assertSame([false, true, false, true, false, true, true, true], $may);
    }

    public function test_cameras_are_written_as_they_are_read(): void
    {
        $file = FitFile::read($this->example());
        foreach ($file->cameras as $camera) {
            $packed = Values::write(WrittenCamera::of($camera));
            self::assertEquals($camera, Values::read(WrittenCamera::class, $packed)->camera());
            self::assertSame($packed, Values::write(WrittenCamera::of(Values::read(WrittenCamera::class, $packed)->camera())));
        }
    }

    /** @return iterable<string, array{string, mixed, string}> where, what, what is said */
    public static function bad(): iterable
    {
        yield 'another format' => ['format', 'x', 'gritty-tally-fit'];
        yield 'a margin of nothing' => ['margin', 0, 'from 1 to 10'];
        yield 'no such criterion' => ['criterion', 'guess', 'mark, measured, guaranteed'];
        yield 'a misspelt field' => ['cameras.0.mode', [], 'perhaps “modes” is meant'];
        yield 'no unit' => ['cameras.0.modes.0.writes', '240', 'megabits or megabytes'];
        yield 'a rate of nothing' => ['cameras.0.modes.0.writes', '0 Mb/s', 'zero or less'];
        yield 'above any card' => ['cameras.0.modes.1.writes', '80000 MB/s', 'more than any card carries'];
        yield 'megabits for megabytes' => ['cameras.0.modes.0.writes', '240 MB/s', 'looks like megabits read as megabytes'];
        yield 'no bus' => ['cameras.0.slots.0.buses', ['USB'], 'is no bus'];
        yield 'no slot' => ['cameras.0.slots', [], 'give at least one'];
        yield 'a take of no length' => ['cameras.0.modes.0.says', [['160 GB', '0 s']], 'above nothing'];
        yield 'two of one tag' => ['cards.1.tag', 'QS-014', 'another card has it already'];
        yield 'no label' => ['cards.1.label', 7, 'cards[1]'];
    }

    #[DataProvider('bad')]
    public function test_what_cannot_be_read_says_where_and_what_would_do(string $at, mixed $value, string $said): void
    {
        $example = $this->example();
        data_set($example, $at, $value);
        $path = "{$this->folder()}/fit.json";
        file_put_contents($path, json_encode($example));
        $this->command('tally:fit', ['file' => $path])->expectsOutputToContain($said)->assertExitCode(2);
    }

    public function test_files_and_criteria_that_are_none_are_told(): void
    {
        $this->command('tally:fit', ['file' => '/nowhere'])->expectsOutputToContain('no file that can be read')->assertExitCode(2);
        $this->command('tally:fit', ['file' => base_path('docs/examples/fit.json'), '--criterion' => 'x'])
            ->expectsOutputToContain('is nothing that decides')
            ->assertExitCode(2);
    }

    public function test_minutes_on_paper_and_by_what_the_camera_says(): void
    {
        [$code, $printed] = $this->answered('tally:minutes', ['size' => '160 GB', 'rate' => '240 Mb/s', '--says' => ['79 min']]);
        self::assertSame(0, $code);
        self::assertIsArray($printed);
        // 88.9 minutes on paper: cut, never rounded up.
        self::assertSame([79, 88], [$printed['minutes'], $printed['minutes_on_paper']]);
        self::assertEquals(270.0, $printed['effective_mbit']);
        self::assertSame(1, $this->answered('tally:minutes', ['size' => '160 GB', 'rate' => '240 MB/s', '--says' => ['79 min']])[0]);
        // 16 GB held about 650 raw files of 24.6 MB. Source: handbook § 7, common practice.
        $stills = $this->answered('tally:minutes', ['size' => '16 GB', 'rate' => '24.6 MB']);
        self::assertSame([0, ['bytes' => 16_000_000_000, 'shots' => 650]], $stills);
        foreach ([['0 GB', '240 Mb/s', '1'], ['160 Gb', '240 Mb/s', '1'], ['160 GB', '240', '1'], ['160 GB', '240 Mb/s', '2']] as $one) {
            $this->command('tally:minutes', ['size' => $one[0], 'rate' => $one[1], '--usable' => $one[2]])->assertExitCode(2);
        }
    }

    public function test_a_burst_both_ways(): void
    {
        $asked = ['frames' => '12', 'size' => '24.6 MB', 'rate' => '10/s', 'clear' => '23 s'];
        [$code, $printed] = $this->answered('tally:burst', [...$asked, '--drain' => '250 MB/s']);
        self::assertSame(0, $code);
        self::assertIsArray($printed);
        self::assertSame(['12.2 MB/s', '280.56 MB', false], [$printed['drain'], $printed['buffer'], $printed['endless']]);
        self::assertTrue(is_array($printed['other']) && $printed['other']['endless'] === true);
        foreach (['frames' => 'many', 'size' => '24.6 Mb', 'rate' => 'fast', 'clear' => 'soon'] as $field => $typed) {
            $this->command('tally:burst', [...$asked, $field => $typed])->assertExitCode(2);
        }
    }
}
