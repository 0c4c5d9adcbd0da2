<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Erasing\Ledger;
use App\Models\Runs\Erasure;
use App\Models\Runs\Run;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Process\Process;
use Tally\Record\RunKind;
use Tests\Support\TemporaryFolder;
use Tests\TestCase;

/** Raw proofs and screens in the terminal, as processes of their own. */
final class RawTerminalTest extends TestCase
{
    use TemporaryFolder;

    private ?string $storage = null;

    private function image(int $bytes = 32_000_000): string
    {
        $path = $this->folder().'/card.img';
        file_put_contents($path, str_repeat('f', $bytes));

        return $path;
    }

    /**
     * @param  list<string>  $arguments
     * @return array{int, array<mixed>, string} exit code, JSON, what was said on standard error
     */
    private function tally(array $arguments): array
    {
        if ($this->storage === null) {
            $this->storage = $this->folder();
            mkdir("{$this->storage}/app");
            mkdir("{$this->storage}/framework/cache", recursive: true);
            mkdir("{$this->storage}/logs");
        }
        $process = new Process(
            [PHP_BINARY, 'artisan', ...$arguments, '--json'],
            base_path(),
            ['DB_SOCKET' => '/nowhere', 'LARAVEL_STORAGE_PATH' => $this->storage, 'SUDO_USER' => 'wren'],
            timeout: 60,
        );
        $code = $process->run();
        $json = json_decode($process->getOutput(), true);

        return [$code, is_array($json) ? $json : [], $process->getErrorOutput().$process->getOutput()];
    }

    public function test_a_raw_proof_and_then_once_more(): void
    {
        $path = $this->image();
        [$code, $json] = $this->tally(['tally:prove', $path, '--raw', "--erase={$path}"]);
        self::assertSame(
            [0, 'proof', 32_000_000, 32_000_000, true, 'Sound'],
            [
                $code,
                $json['kind'] ?? null,
                $json['holds'] ?? null,
                $json['capacity'] ?? null,
                $json['whole'] ?? null,
                $json['verdict'] ?? null,
            ],
        );
        self::assertTrue($json['reinsert'] ?? null, 'so little could have been answered by a cache');
        [$code, $told] = $this->tally(['tally:prove', $path, '--raw', "--erase={$path}", '--resume']);
        self::assertSame([0, 32_000_000, 'Sound'], [$code, $told['holds'] ?? null, $told['verdict'] ?? null]);
        // Taken out and put in, and one byte of it is not what it was.
        $handle = fopen($path, 'r+');
        self::assertNotFalse($handle);
        fseek($handle, 20_000_000);
        fwrite($handle, '?');
        fclose($handle);
        [$code, $json] = $this->tally(['tally:prove', $path, '--raw', "--erase={$path}", '--again']);
        self::assertSame([1, 20_000_000 - (20_000_000 % 512), 'Shaky'], [$code, $json['first_bad'] ?? null, $json['verdict'] ?? null]);
        $ledger = file("{$this->storage}/app/erasures-".DB::connection()->getDatabaseName().'.jsonl');
        self::assertNotFalse($ledger);
        self::assertCount(3, $ledger);
        self::assertStringContainsString('"person":"wren"', $ledger[0]);
    }

    public function test_a_raw_screen_and_then_once_more(): void
    {
        $path = $this->image(64_000_000);
        [$code, $json] = $this->tally(['tally:screen', $path, '--raw', "--erase={$path}", '--points=64']);
        self::assertSame(
            [0, 'screen', 64, 'Unproven', false],
            [$code, $json['kind'] ?? null, $json['points'] ?? null, $json['verdict'] ?? null, $json['exact'] ?? null],
        );
        self::assertLessThan(64_000_000, $json['holds'] ?? null);
        [$code] = $this->tally(['tally:screen', $path, '--raw', "--erase={$path}", '--again']);
        self::assertSame(0, $code);
        // Another card in the same slot is no second look at the first.
        file_put_contents($path, str_repeat("\0", 64_000_000));
        [$code, , $said] = $this->tally(['tally:screen', $path, '--raw', "--erase={$path}", '--again']);
        self::assertSame(2, $code);
        self::assertStringContainsString('This is not the card the proof was begun on', $said);
    }

    /** @return iterable<string, array{list<string>, string}> arguments, PATH standing for the image, and words */
    public static function refusals(): iterable
    {
        yield 'not said twice' => [['tally:prove', 'PATH', '--raw'], 'say it twice: --erase=PATH.'];
        yield 'said otherwise' => [['tally:prove', 'PATH', '--raw', '--erase=/dev/sdx'], '“/dev/sdx” was given.'];
        yield 'another name for it' => [['tally:prove', 'PATH', '--raw', '--erase=./PATH'], 'say it twice'];
        yield 'erased and not raw' => [['tally:prove', 'PATH', '--erase=PATH'], 'Only a raw run erases'];
        yield 'a stand-in' => [
            ['tally:prove', 'stand-in:honest', '--raw', '--erase=stand-in:honest'],
            'A stand-in is neither raw nor a folder',
        ];
        yield 'a screen not said twice' => [['tally:screen', 'PATH', '--raw'], 'say it twice'];
        yield 'too few places' => [
            ['tally:screen', 'PATH', '--raw', '--erase=PATH', '--points=2'],
            '--points was “2”: give a whole number from 16 to 4096.',
        ];
        yield 'places that are none' => [['tally:screen', 'PATH', '--raw', '--erase=PATH', '--points=many'], '--points was “many”'];
        yield 'nothing to continue' => [['tally:prove', 'PATH', '--raw', '--erase=PATH', '--resume'], 'There is nothing to continue'];
        yield 'nothing to look at again' => [
            ['tally:screen', 'PATH', '--raw', '--erase=PATH', '--again'],
            'There is nothing to continue',
        ];
        yield 'the host’s own' => [['tally:prove', '/etc/passwd', '--raw', '--erase=/etc/passwd'], 'the host keeps its own files'];
        yield 'a folder' => [['tally:prove', '/tmp', '--raw', '--erase=/tmp'], 'it is a folder'];
    }

    /** @param  list<string>  $arguments */
    #[DataProvider('refusals')]
    public function test_what_is_refused_is_left_as_it_is(array $arguments, string $words): void
    {
        $path = $this->image();
        [$code, , $said] = $this->tally(array_map(fn (string $argument): string => str_replace('PATH', $path, $argument), $arguments));
        self::assertSame(2, $code, $said);
        self::assertStringContainsString(str_replace('PATH', $path, $words), $said);
        self::assertSame(str_repeat('f', 4096), file_get_contents($path, false, null, 0, 4096));
    }

    public function test_it_is_filed_under_a_card_whose_size_it_has_and_that_carries_nothing(): void
    {
        $card = $this->card(['capacity' => 32_000_000, 'footage' => 1_000_000, 'stand_in' => null]);
        $path = $this->image();
        $prove = ['path' => $path, '--raw' => true, '--erase' => $path, '--card' => 'T-1', '--json' => true];
        $this->command('tally:prove', $prove)->assertExitCode(2);
        $card->forceFill(['footage' => 0, 'capacity' => 64_000_000])->save();
        $this->command('tally:prove', $prove)->assertExitCode(2);
        self::assertSame([0, str_repeat('f', 64)], [Erasure::query()->count(), file_get_contents($path, false, null, 0, 64)]);
        $this->command('tally:prove', [...$prove, '--why' => 'a smaller one of the same make'])->assertExitCode(0);
        $card->forceFill(['capacity' => 32_000_000])->save();
        $this->command('tally:screen', [...$prove, '--points' => '32'])->assertExitCode(0);
        self::assertSame(
            [RunKind::Proof, RunKind::Screen],
            Run::query()->orderBy('id')->get()->map(fn (Run $run): RunKind => $run->kind)->all(),
        );
        self::assertSame(
            [2, 'a smaller one of the same make'],
            [Erasure::query()->where('card_id', $card->id)->count(), Erasure::query()->firstOrFail()->why],
        );
    }

    public function test_what_was_written_down_while_the_books_were_away_is_taken_over(): void
    {
        $this->app->useStoragePath($this->folder());
        mkdir(storage_path('app'));
        $line = [
            'card_id' => null,
            'run_id' => null,
            'what' => 'full proof',
            'path' => '/dev/x',
            'bytes' => 5,
            'person' => 'wren',
            'station' => 'Bench A',
            'why' => null,
            'erased_at' => '2026-11-01 10:00:00',
        ];
        file_put_contents(Ledger::file(), json_encode($line)."\n");
        Ledger::takeOver();
        self::assertSame([1, ''], [Erasure::query()->where('path', '/dev/x')->count(), file_get_contents(Ledger::file())]);
    }
}
