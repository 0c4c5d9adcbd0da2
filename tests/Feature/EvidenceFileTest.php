<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\EvidenceFile\Canonical;
use App\EvidenceFile\NotAResult;
use App\EvidenceFile\ResultFile;
use App\EvidenceFile\ResultReader;
use App\Models\Cards\Card;
use App\Models\Runs\Run;
use App\Models\Stations\KnownStation;
use Illuminate\Http\UploadedFile;
use Inertia\Testing\AssertableInertia;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Process\Process;
use Tally\Record\RunSource;
use Tally\Verdict\VerdictKind;
use Tests\Support\TemporaryFolder;
use Tests\TestCase;

/** What is handed on about a card, and that it can be checked and read back in. */
final class EvidenceFileTest extends TestCase
{
    use TemporaryFolder;

    private function sham(): Card
    {
        $card = $this->card([
            'stand_in' => 'wraps,size=32GB,true=8GB',
            'serial' => 'S-1',
            'price' => 950,
            'currency' => 'EUR',
            'seller' => 'Quay',
        ]);
        $this->conduct($card, 'speed', 'Tray 3');
        $this->conduct($card, 'proof', 'Tray 3');
        $this->conduct($card, 'screen', 'Tray 3');

        return $card->refresh();
    }

    private function fileOf(Card $card): string
    {
        $json = $this->get("/prove/{$card->tag}/result.json")
            ->assertOk()
            ->assertHeader('Content-Type', 'application/json')
            ->getContent();

        return $json === false ? '' : $json;
    }

    public function test_the_file_is_as_its_schema_says(): void
    {
        // The schema is held against the file by a general-purpose validator, opis/json-schema.
        $schema = (string) file_get_contents(base_path('docs/result.schema.json'));
        foreach ([$this->sham(), $this->card(['tag' => 'T-2', 'stand_in' => null])] as $card) {
            $result = (new Validator())->validate(json_decode($this->fileOf($card)), $schema);
            $error = $result->error();
            self::assertTrue($result->isValid(), $error === null ? '' : (string) json_encode((new ErrorFormatter())->format($error)));
        }
        $wrong = json_decode($this->fileOf(Card::query()->firstOrFail()), true);
        self::assertIsArray($wrong);
        foreach (['hash' => 'short', 'version' => 'one', 'runs' => 'none'] as $key => $value) {
            self::assertFalse(
                (new Validator())->validate(json_decode((string) json_encode([...$wrong, $key => $value])), $schema)->isValid(),
                $key,
            );
        }
    }

    public function test_a_pattern_of_a_small_number_is_one_too(): void
    {
        $card = $this->sham();
        foreach ($card->runs()->get() as $run) {
            $said = $run->rawResult() ?? [];
            isset($said['imprint']) ? $run->forceFill(['result' => [...$said, 'imprint' => 7]])->save() : null;
        }
        $file = $this->fileOf($card->refresh());
        self::assertStringContainsString('"imprint":7,', str_replace([' ', "\n"], '', $file));
        self::assertNotSame('', ResultReader::read($file)->signer());
    }

    public function test_the_sheet_is_one_page_that_says_what_matters(): void
    {
        $card = $this->sham();
        $pdf = $this->get("/prove/{$card->tag}/evidence.pdf")
            ->assertOk()
            ->assertHeader('Content-Type', 'application/pdf')
            ->getContent();
        self::assertNotFalse($pdf);
        file_put_contents($file = $this->folder().'/sheet.pdf', $pdf);
        // Read by poppler, somebody else's program.
        $info = new Process(['pdfinfo', $file]);
        $info->mustRun();
        self::assertMatchesRegularExpression('/Pages:\s+1\n/', $info->getOutput());
        $text = new Process(['pdftotext', '-layout', $file, '-']);
        $text->mustRun();
        $words = (string) preg_replace('/\s+/', ' ', $text->getOutput());
        $decoded = json_decode($this->fileOf($card), true);
        self::assertIsArray($decoded);
        $hashes = array_column(is_array($decoded['runs']) ? $decoded['runs'] : [], 'hash');
        self::assertCount(3, $hashes);
        foreach (
            [
                'SHAM',
                'Keeps 8 GB of the 32 GB',
                'serial S-1',
                '9.50 EUR',
                'label 32 GB',
                'It starts over every 8 GB (8000000000 bytes), from byte 0 on.',
                'What this does not prove',
                'quick screen',
                ...$hashes,
                $decoded['hash'],
            ] as $what
        ) {
            self::assertIsString($what);
            self::assertStringContainsString($what, $words);
        }
    }

    public function test_the_sheet_stays_one_page_however_much_is_known(): void
    {
        $card = $this->card(['name' => str_repeat('Long name ', 7), 'stand_in' => 'patchy,size=32GB,patches=900']);
        for ($i = 0; $i < 12; $i++) {
            $this->conduct($card, $i % 2 === 0 ? 'speed' : 'proof', 'Tray 3');
        }
        file_put_contents($file = $this->folder().'/sheet.pdf', (string) $this->get("/prove/{$card->tag}/evidence.pdf")->getContent());
        $info = new Process(['pdfinfo', $file]);
        $info->mustRun();
        self::assertMatchesRegularExpression('/Pages:\s+1\n/', $info->getOutput());
    }

    public function test_the_hash_stays_until_something_is_added(): void
    {
        $card = $this->sham();
        $first = ResultFile::of($card);
        $this->travel(2)->hours();
        self::assertSame($first['hash'], ResultFile::of($card)['hash']);
        $this->conduct($card, 'speed', 'Tray 3');
        self::assertNotSame($first['hash'], ResultFile::of($card)['hash']);
    }

    public function test_it_is_read_back_in_and_gives_the_same_verdict(): void
    {
        $card = $this->sham();
        $json = $this->fileOf($card);
        $before = $card->runs()->orderBy('id')->get()->map(fn (Run $run): array => [$run->kind, $run->rawResult()])->all();
        $card->runs()->each(function (Run $run): void {
            $run->sample()->delete();
            $run->delete();
        });
        self::assertSame(3, ResultReader::read($json)->take($card, 'Wren')->runs);
        $after = $card->runs()->orderBy('id')->get();
        self::assertEquals($before, $after->map(fn (Run $run): array => [$run->kind, $run->rawResult()])->all());
        self::assertSame([RunSource::File], $after->map(fn (Run $run): RunSource => $run->source)->unique()->values()->all());
        self::assertSame(VerdictKind::Sham, $card->refresh()->verdict);
        self::assertSame(0, ResultReader::read($json)->take($card, 'Wren')->runs, 'what is in the books is not filed twice');
        $this->get("/prove/{$card->tag}")->assertOk();
    }

    public function test_it_is_read_in_on_the_page(): void
    {
        $card = $this->sham();
        $json = $this->fileOf($card);
        $run = $card->runs()->latest('id')->firstOrFail();
        $run->sample()->delete();
        $run->delete();
        $this->post("/cards/{$card->tag}/results", [
            'result' => UploadedFile::fake()->createWithContent('result.json', $json),
        ])->assertSessionHasNoErrors();
        self::assertSame(3, $card->runs()->count());
        $this->post("/cards/{$card->tag}/results", [
            'result' => UploadedFile::fake()->createWithContent('result.json', $json),
        ])->assertSessionHasErrors(['result' => 'Every run of that file is here already: nothing was added.']);
        $this->post("/cards/{$card->tag}/results")->assertSessionHasErrors([
            'result' => 'No result file was given. Choose one that was made here or elsewhere by this program (result-….json).',
        ]);
    }

    /** @return iterable<string, array{callable(string): string, string}> */
    public static function spoilt(): iterable
    {
        yield 'no JSON' => [fn (string $json): string => substr($json, 0, -9), 'it is no JSON'];
        yield 'another format' => [fn (): string => '{"format":"other"}', 'it does not say that it is one'];
        yield 'a list' => [fn (): string => '[1,2]', 'it does not say that it is one'];
        yield 'a later version' => [
            fn (string $json): string => str_replace('"version":1', '"version":2', $json),
            'its version is 2, and this program reads version 1',
        ];
        yield 'one byte of a result' => [
            fn (string $json): string => str_replace('"capacity":8000000000', '"capacity":8000000001', $json),
            'it was changed since it was made',
        ];
        yield 'the verdict' => [
            fn (string $json): string => str_replace('"kind":"Sham"', '"kind":"Sound"', $json),
            'it was changed since it was made',
        ];
        yield 'no hash' => [
            fn (string $json): string => (string) preg_replace('/,"hash":"[0-9a-f]{64}","signature":.*}$/', '}', $json),
            'it was changed since it was made',
        ];
    }

    /** @param  callable(string): string  $spoil */
    #[DataProvider('spoilt')]
    public function test_a_file_that_was_changed_is_refused(callable $spoil, string $words): void
    {
        $card = $this->sham();
        $this->expectException(NotAResult::class);
        $this->expectExceptionMessage($words);
        ResultReader::read($spoil($this->fileOf($card)))->take($card, 'Wren');
    }

    /**
     * As a forger would: something is changed, and all hashes are made anew.
     *
     * @param  callable(array<mixed>): array<mixed>  $change
     */
    private function forged(Card $card, callable $change): string
    {
        $file = json_decode($this->fileOf($card), true);
        self::assertIsArray($file);
        $file = $change($file);
        foreach (is_array($file['runs'] ?? null) ? $file['runs'] : [] as $i => $run) {
            if (is_array($run) && is_array($run['result'] ?? null)) {
                data_set($file, "runs.{$i}.hash", Canonical::hash($run['result']));
            }
        }

        assert(is_array($file));

        return json_encode([...$file, 'hash' => ResultFile::hash($file)], JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
    }

    public function test_what_nobody_known_has_signed_is_kept_apart_and_turns_no_verdict(): void
    {
        $sham = $this->sham();
        $other = $this->card(['tag' => 'T-2', 'stand_in' => null]);
        $as = fn (array $file): array => array_diff_key(
            [...$file, 'card' => [...is_array($file['card'] ?? null) ? $file['card'] : [], 'tag' => 'T-2']],
            ['signature' => 0],
        );
        $unsigned = $this->forged($sham, $as);
        $this->post('/cards/T-2/results', [
            'result' => UploadedFile::fake()->createWithContent('result.json', $unsigned),
        ])->assertSessionHasNoErrors();
        self::assertSame([VerdictKind::Unproven, 0], [$other->refresh()->verdict, $other->runs()->count()]);
        // The old signature does not fit what was changed, and a key of their own is not one of ours.
        $pair = sodium_crypto_sign_keypair();
        $this->post('/cards/T-2/results', [
            'result' => UploadedFile::fake()->createWithContent(
                'result.json',
                $this->forged($sham, fn (array $file): array => [...$as($file), 'signature' => $file['signature']]),
            ),
        ])->assertSessionHasErrors([
            'result' => 'This result file cannot be used: its signature is not of this file: it was changed since, or signed by '.
            'another key.',
        ]);
        $file = json_decode($unsigned, true);
        self::assertIsArray($file);
        self::assertIsString($file['hash']);
        $key = base64_encode(sodium_crypto_sign_publickey($pair));
        $theirs = (string) json_encode(
            [
                ...$file,
                'signature' => [
                    'station' => 'Bench A',
                    'key' => $key,
                    'value' => base64_encode(sodium_crypto_sign_detached($file['hash'], sodium_crypto_sign_secretkey($pair))),
                ],
            ],
            JSON_PRESERVE_ZERO_FRACTION,
        );
        self::assertTrue(ResultReader::read($theirs)->take($other, 'Wren')->isApart());
        $this->get('/prove/T-2')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('theirs.0.verdict', 'Sham')
                ->where('theirs.0.by', 'signed by nobody')
                ->where('margin.verdict', 'Unproven'),
        );
        // Once this house has taken their key over, the same file counts.
        $this->post('/known-stations', ['known' => 'Bench of friends='.substr($key, 4)])->assertSessionHasErrors('known');
        $this->post('/known-stations', ['known' => "Bench of friends={$key}"])->assertSessionHasNoErrors();
        $this->post('/known-stations', ['known' => "Another name={$key}"])->assertSessionHasErrors([
            'known' => 'That key is known here already, as Bench of friends.',
        ]);
        $taken = ResultReader::read($theirs)->take($other, 'Wren');
        self::assertSame([3, 'Bench of friends'], [$taken->runs, $taken->signer]);
        self::assertSame(VerdictKind::Sham, $other->refresh()->verdict);
        self::assertSame([$key], $other->runs()->distinct()->pluck('signed_by')->all());

        // A key that is revoked takes what it signed along, which stays in sight; what somebody voided for another reason stays so.
        $known = KnownStation::query()->sole();
        $voided = $other->runs()->orderBy('id')->firstOrFail();
        $this->post("/runs/{$voided->id}/void", ['reason' => 'wrong card', 'by' => 'Wren'])->assertSessionHasNoErrors();
        $this->post("/known-stations/{$known->id}/revoke")->assertSessionHasNoErrors();
        self::assertSame(VerdictKind::Unproven, $other->refresh()->verdict);
        self::assertSame(3, $other->runs()->count());
        $last = $other->runs()->latest('id')->firstOrFail()->id;
        $this->get("/runs/{$last}")->assertSee('The key of Bench of friends, which signed it, was revoked.');
        $this->get('/benches')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where('known.0.runs', 3)->where('known.0.name', 'Bench of friends'),
        );
        self::assertTrue(ResultReader::read($theirs)->take($other, 'Wren')->isApart());
        $this->post("/known-stations/{$known->id}/trust")->assertSessionHasNoErrors();
        self::assertSame(VerdictKind::Sham, $other->refresh()->verdict);
        self::assertSame('wrong card', $voided->refresh()->void?->reason);
    }

    public function test_who_made_a_file_and_when_is_under_its_signature(): void
    {
        $card = $this->sham();
        $file = json_decode($this->fileOf($card), true);
        self::assertIsArray($file);
        $changes = ['made_at' => '2020-01-01T00:00:00Z', 'signature.station' => 'Bench of friends', 'signature.covers' => null];
        foreach ($changes as $at => $value) {
            $changed = $file;
            $value === null ? data_forget($changed, $at) : data_set($changed, $at, $value);
            try {
                ResultReader::read((string) json_encode($changed, JSON_PRESERVE_ZERO_FRACTION));
                self::fail("{$at} was changed and nobody saw it.");
            } catch (NotAResult $fault) {
                self::assertStringContainsString('its signature is not of this file', $fault->getMessage());
            }
        }
        // One of before has the hash alone signed, and is read as it was.
        assert(is_array($file['signature']) && is_string($file['hash']));
        $pair = base64_decode((string) file_get_contents(storage_path('app/private/station.key')), true);
        assert(is_string($pair) && $pair !== '');
        $signature = ['value' => base64_encode(sodium_crypto_sign_detached($file['hash'], sodium_crypto_sign_secretkey($pair)))];
        $before = [...$file, 'signature' => [...array_diff_key($file['signature'], ['covers' => 0]), ...$signature]];
        self::assertSame('Bench A', ResultReader::read((string) json_encode($before, JSON_PRESERVE_ZERO_FRACTION))->signer());
    }

    /** @return iterable<string, array{string, mixed, string}> */
    public static function unfit(): iterable
    {
        yield 'a run that goes on' => ['runs.0.state', 'running', 'a run in a result file has ended'];
        yield 'an endless speed' => ['runs.0.result.writes', [1e308], 'give bytes a second, above nothing'];
        yield 'a trace beyond all measure' => ['runs.0.traces.write', [[1e300, 5.0]], 'give a number'];
        yield 'a trace that goes back' => ['runs.0.traces.write', [[5.0, 5.0], [1.0, 5.0]], 'A course goes forward'];
        yield 'a field nobody described' => ['runs.0.looks', 'fine', 'docs/result.schema.json'];
        yield 'a card of a hundred petabytes' => ['card.capacity', 100_000_000_000_000_000, 'docs/result.schema.json'];
        yield 'a size below nothing' => ['runs.1.result.size', -5, 'runs[1]'];
    }

    #[DataProvider('unfit')]
    public function test_a_file_that_is_not_as_its_schema_says_is_refused(string $at, mixed $value, string $says): void
    {
        $card = $this->sham();
        $json = $this->forged($card, function (array $file) use ($at, $value): array {
            data_set($file, $at, $value);
            assert(is_array($file));

            return array_diff_key($file, ['signature' => 0]);
        });
        $this->expectException(NotAResult::class);
        $this->expectExceptionMessage($says);
        ResultReader::read($json);
    }

    public function test_a_file_about_another_card_is_refused(): void
    {
        $json = $this->fileOf($this->sham());
        $this->expectExceptionMessage('it is about T-1 (32 GB · SDHC UHS-I · U1), not about T-2.');
        ResultReader::read($json)->take($this->card(['tag' => 'T-2']), 'Wren');
    }

    public function test_the_terminal_checks_it_and_takes_it_over(): void
    {
        $card = $this->sham();
        file_put_contents($file = $this->folder().'/result.json', $this->fileOf($card));
        $this->command('tally:result', ['file' => $file])
            ->expectsOutputToContain('unchanged since')
            ->assertExitCode(0);
        $run = $card->runs()->latest('id')->firstOrFail();
        $run->sample()->delete();
        $run->delete();
        $this->command('tally:result', ['file' => $file, '--take' => true])
            ->expectsOutputToContain('1 runs taken over')
            ->assertExitCode(0);
        file_put_contents($file, '{}');
        $this->command('tally:result', ['file' => $file])->assertExitCode(2);
        $this->command('tally:result', ['file' => '/nowhere'])
            ->expectsOutputToContain('is no file that can be read')
            ->assertExitCode(2);
    }
}
