<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\EvidenceFile\ResultReader;
use App\EvidenceFile\StationKeys;
use App\Models\Cards\Card;
use App\Models\Runs\Run;
use App\SecondOpinion\OpinionFile;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tally\Label\Bus;
use Tally\Record\ProofRecord;
use Tally\Record\RunKind;
use Tally\Record\SpeedRecord;
use Tally\Value\Values;
use Tally\Verdict\Judge;
use Tally\Verdict\VerdictKind;
use Tests\TestCase;

/**
 * What an earlier version handed out is still read, and what it kept is taken along. The files in tests/fixtures were made by
 * the version before chains were kept as measured, of its own demo.
 */
final class BooksOfBeforeTest extends TestCase
{
    /** @return iterable<string, array{string, array<string, mixed>, VerdictKind, int}> */
    public static function files(): iterable
    {
        $classic = [
            'tag' => 'QS-025',
            'form' => 'microsd',
            'capacity' => 32_000_000_000,
            'family' => 'SDHC',
            'bus' => null,
            'marks' => ['C10'],
            'read' => null,
            'write' => null,
        ];
        yield 'with a proof' => ['result-of-before-with-proof', $classic, VerdictKind::Shaky, 2];
        yield 'with small files, and trouble seen in a reader' => [
            'result-of-before',
            [
                'tag' => 'QS-041',
                'form' => 'microsd',
                'capacity' => 128_000_000_000,
                'family' => 'SDXC',
                'bus' => 'uhs-i',
                'marks' => ['U3', 'A2'],
                'read' => 100e6,
                'write' => 60e6,
            ],
            VerdictKind::Shaky,
            2,
        ];
    }

    private static function signed(string $json): string
    {
        $file = json_decode($json, true);
        self::assertIsArray($file);
        self::assertIsString($file['hash']);

        $signature = StationKeys::sign($file['hash'], is_string($file['made_at']) ? $file['made_at'] : '');

        return json_encode([...$file, 'signature' => $signature], JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
    }

    /** @param  array<string, mixed>  $card */
    #[DataProvider('files')]
    public function test_a_file_of_before_is_judged_and_read_back_in(string $name, array $card, VerdictKind $verdict, int $runs): void
    {
        $json = (string) file_get_contents(base_path("tests/fixtures/{$name}.json"));
        $opinion = OpinionFile::read($json);
        self::assertSame($verdict, Judge::judge($opinion->cases[0]->evidence)->kind);
        $card = $this->card($card);
        // Files of before are signed by nobody; here this house vouches for them.
        self::assertNull(ResultReader::read($json)->signer());
        self::assertSame($runs, ResultReader::read(self::signed($json))->take($card, 'Wren')->runs);
        self::assertSame(0, ResultReader::read(self::signed($json))->take($card->refresh(), 'Wren')->runs, 'nothing is filed twice');
        foreach ($card->runs()->get() as $run) {
            self::assertNotNull($run->result);
            self::assertSame([Bus::UhsI], $run->chain->slot);
            self::assertSame('R3, USB 5 Gb/s, Cart tower port 3', $run->chain->host?->name);
            self::assertIsArray($run->origin);
        }
        $this->get("/measure/{$card->tag}")->assertOk();
        $this->get("/prove/{$card->tag}")->assertOk();
    }

    public function test_what_a_proof_of_before_found_counts(): void
    {
        $card = $this->card([
            'tag' => 'QS-025',
            'form' => 'microsd',
            'capacity' => 32_000_000_000,
            'bus' => null,
            'marks' => ['C10'],
            'read' => null,
            'write' => null,
        ]);
        ResultReader::read(self::signed((string) file_get_contents(base_path('tests/fixtures/result-of-before-with-proof.json'))))->take(
            $card,
            'Wren',
        );
        $proof = $card->runs()->where('kind', RunKind::Proof)->firstOrFail()->result;
        self::assertInstanceOf(ProofRecord::class, $proof);
        self::assertTrue($proof->isWhole());
        self::assertSame(31_914_983_424, $proof->extent->shown?->count);
        $speed = $card->runs()->where('kind', RunKind::Speed)->firstOrFail()->result;
        self::assertInstanceOf(SpeedRecord::class, $speed);
        self::assertCount(5, $speed->writes);
    }

    public function test_a_chain_of_before_takes_its_reader_along_and_a_slot_speaks_all_its_buses(): void
    {
        $card = $this->card();
        $reader = DB::table('readers')->where('tag', 'R6')->value('id');
        $run = Run::query()->create([
            'card_id' => $card->id,
            'kind' => RunKind::Speed,
            'state' => 'done',
            'parameters' => RunKind::Speed->parameters(['size' => 1_000_000_000, 'runs' => 5]),
            'chain' => \Tally\Measured\Chain::unnamed(),
        ]);
        $old = [
            'named' => true,
            'links' => [
                ['name' => 'UHS-I bus', 'nominal' => 104e6, 'practical' => 95e6, 'source' => 'x'],
                ['name' => 'R6, USB 10 Gb/s, Cart tower port 2', 'nominal' => 1212e6, 'practical' => 1000e6, 'source' => 'x'],
            ],
        ];
        DB::table('runs')
            ->where('id', $run->id)
            ->update([
                'reader_id' => $reader,
                'chain' => json_encode($old),
                'parameters' => json_encode(['size' => 1, 'runs' => 5, 'file' => ['run' => 3, 'hash' => 'x']]),
            ]);
        $migration = require base_path('database/migrations/2026_11_26_000008_type_evidence.php');
        self::assertInstanceOf(Migration::class, $migration);
        (new \ReflectionMethod($migration, 'chains'))->invoke($migration);
        $chain = $run->refresh()->chain;
        self::assertSame('R6', $chain->reader);
        // As the slot is in the books: which bus a card settles on in it follows from its label.
        self::assertEqualsCanonicalizing([Bus::UhsII, Bus::CFexpress2A], $chain->slot);
        self::assertSame(['run' => 3, 'hash' => 'x'], $run->origin);
    }

    public function test_a_result_of_today_goes_through_the_books_unchanged(): void
    {
        $card = $this->card();
        foreach (['speed', 'sustained', 'proof', 'screen', 'files'] as $kind) {
            $run = $this->conduct($card, $kind, 'Tray 3');
            $raw = $run->rawResult();
            self::assertNotNull($raw, $kind);
            self::assertEquals($raw, Values::plain(Run::query()->findOrFail($run->id)->result), $kind);
        }
        self::assertNotSame(VerdictKind::Sham, Card::query()->findOrFail($card->id)->verdict);
    }
}
