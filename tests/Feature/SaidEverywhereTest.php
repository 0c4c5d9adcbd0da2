<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Evidence\CardEvidence;
use App\Models\Cards\Card;
use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use Illuminate\Support\Facades\Process;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use Tally\Probe\SpeedPlan;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Record\ProofParameters;
use Tally\Record\ProofRecord;
use Tally\Record\RunKind;
use Tally\Record\RunSource;
use Tally\Record\SpeedParameters;
use Tests\Core\Verdict\WordsTest;
use Tests\Support\HoldsClaims;
use Tests\Support\JudgesCases;
use Tests\Support\TemporaryFolder;
use Tests\TestCase;

/** Each kind of result through every page, the ledger, the evidence sheet and the tag: what they say is what was done. § 6 rule 14. */
final class SaidEverywhereTest extends TestCase
{
    use HoldsClaims;
    use JudgesCases;
    use TemporaryFolder;

    /** In MB/s, with more digits than anybody prints. */
    private const WRITE = 121.3749;

    private const READ = 236.4449;

    /** @param  array<string, mixed>  $result */
    #[DataProviderExternal(WordsTest::class, 'results')]
    public function test_what_is_said_is_what_was_done(array $result): void
    {
        [$card, $proof] = $this->tested($result);
        $record = $proof->proof();
        assert($record !== null);
        $said = [
            ...$this->pages($card, $proof),
            ...$this->paper("/prove/{$card->tag}/evidence.pdf"),
            ...$this->paper("/tags/sheet.pdf?cards={$card->tag}"),
        ];
        $all = implode("\n", $said);
        self::assertStringNotContainsString('fake', $all);
        self::assertStringNotContainsString('not a false size', $all);
        self::assertFigures($record, $said);
        self::assertPrintedAlike($said, self::sizes($card, $record));
        self::assertSpeedsCut($said);
        $isOfTheCard = $record->extent->isMedium($record->size) && $record->size->count > 0.93 * $card->capacity->count;
        $isWhole = $record->isProvenWhole() && $isOfTheCard;
        self::assertSame($isWhole, str_contains($all, 'proven whole'), $all);
        if (! $record->bad()->isZero()) {
            self::assertDoesNotMatchRegularExpression('/\bproven \d|\d [GMk]B proven/u', $all);
        }
        if ($record->bad()->count === $record->unreadable()->count) {
            // What answered with errors did not come back at all.
            self::assertDoesNotMatchRegularExpression('/B(?: [^.,]{0,20})?(?: came back (?:wrong|otherwise|changed)| wrong\b)/u', $all);
        }
    }

    /**
     * @param  array<string, mixed>  $result
     * @return array{Card, Run} of the proof
     */
    private function tested(array $result): array
    {
        $card = $this->card([
            'name' => 'Osker Line',
            'capacity' => 128_000_000_000,
            'family' => 'SDXC',
            'bus' => 'uhs-ii',
            'marks' => ['U3', 'V60'],
            'read' => 250e6,
            'write' => 130e6,
            'stand_in' => null,
        ]);
        $evidence = self::evidence(self::V60, [self::proof(self::WRITE, more: $result), self::speed(117.4638, self::READ)]);
        $of = fn (RunKind $kind): array => match ($kind) {
            RunKind::Proof => ['result' => $evidence->proofs[0]->record, 'parameters' => new ProofParameters()],
            default => [
                'result' => $evidence->speeds[0]->record,
                'parameters' => new SpeedParameters(SpeedPlan::plain(Bytes::gigabytes(1), 3)),
            ],
        };
        $runs = array_map(fn (RunKind $kind): Run => Run::query()->create([
            'card_id' => $card->id,
            'kind' => $kind,
            'state' => RunState::Done,
            'source' => RunSource::Device,
            'chain' => $evidence->proofs[0]->chain,
            'recorded_by' => 'Wren',
            'started_at' => now()->subHour(),
            'ended_at' => now(),
            ...$of($kind),
        ]), [RunKind::Proof, RunKind::Speed]);
        CardEvidence::refresh($card);

        return [$card->refresh(), $runs[0]->refresh()];
    }

    /** @return list<string> every text of a card's pages, but for what is said of other cards */
    private function pages(Card $card, Run $proof): array
    {
        $said = [];
        foreach (['prove', 'inspect', 'measure', 'fit', 'ledger', 'runs'] as $stage) {
            $page = $this->get($stage === 'runs' ? "/runs/{$proof->id}" : "/{$stage}/{$card->tag}")->assertOk()->viewData('page');
            $props = (array) json_decode((string) json_encode(is_array($page) ? $page['props'] : []), true);
            array_walk_recursive($props, function (mixed $text) use (&$said): void {
                $said[] = is_string($text) ? $text : '';
            });
        }

        return array_values(array_unique($said));
    }

    /** @return list<string> sentences of a printed sheet */
    private function paper(string $address): array
    {
        file_put_contents($file = $this->folder().'/sheet.pdf', (string) $this->get($address)->assertOk()->getContent());
        $text = Process::run(['pdftotext', '-raw', $file, '-'])->throw()->output();

        $sentences = explode('. ', (string) preg_replace('/\s+/u', ' ', $text));

        return array_values(array_filter($sentences, fn (string $one): bool => $one !== ''));
    }

    /** @return list<Bytes> */
    private static function sizes(Card $card, ProofRecord $record): array
    {
        $sizes = [
            $card->capacity,
            $record->size,
            $record->holds(),
            $record->bad(),
            $record->covered(),
            $record->write->bytes,
            $record->unreadable(),
            $record->diagnosis->capacity,
            Bytes::of($record->bad()->count - $record->unreadable()->count),
        ];

        return array_values(array_filter($sizes, fn (Bytes $size): bool => ! $size->isZero()));
    }

    /** @param  list<string>  $said  a measured speed is never rounded up, and everywhere the same */
    private static function assertSpeedsCut(array $said): void
    {
        foreach ($said as $sentence) {
            preg_match_all('/(\d[\d.]*) ?MB\/s/u', $sentence, $printed);
            foreach ($printed[1] as $one) {
                foreach ([self::WRITE, self::READ] as $measured) {
                    if (abs((float) $one - $measured) < 0.3) {
                        self::assertSame(Rate::megabytesPerSecond($measured)->printDown(), "{$one} MB/s", $sentence);
                    }
                }
            }
        }
    }
}
