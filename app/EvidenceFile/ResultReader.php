<?php

declare(strict_types=1);

namespace App\EvidenceFile;

use App\Evidence\CardEvidence;
use App\Models\Cards\Card;
use App\Models\Cards\ResultOfOthers;
use App\Models\Runs\Run;
use App\Runs\Filing\ResultFiling;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use JsonException;
use Tally\Record\RunSource;
use Tally\Value\NotUsable;
use Tally\Value\Values;

/** Reads a result file back: checks that nothing in it was changed, and takes its runs over into the books. */
final readonly class ResultReader
{
    /** Larger than any we write. Bytes. */
    public const MOST = 12_000_000;

    /** @var list<FiledRun> those with a result that counted where it was made */
    public array $runs;

    /** @param  array<mixed>  $json  to the letter */
    private function __construct(public FiledResult $file, private array $json)
    {
        $this->runs = array_values(array_filter($file->runs, fn (FiledRun $run): bool => $run->counted()));
    }

    /** @throws NotAResult */
    public static function read(string $json): self
    {
        if (strlen($json) > self::MOST) {
            throw NotAResult::because('it is larger than 12 MB, and none is.');
        }
        try {
            $file = json_decode($json, true, 64, JSON_THROW_ON_ERROR);
        } catch (JsonException $fault) {
            throw NotAResult::because("it is no JSON ({$fault->getMessage()}).");
        }
        $result = self::of(is_array($file) ? $file : []);
        ResultSchema::mustFit($json);

        return $result;
    }

    /**
     * @param  array<mixed>  $file
     *
     * @throws NotAResult
     */
    public static function of(array $file): self
    {
        if (($file['format'] ?? null) !== ResultFile::FORMAT) {
            throw NotAResult::because('it does not say that it is one ("format": "'.ResultFile::FORMAT.'").');
        }
        if (($file['version'] ?? null) !== ResultFile::VERSION) {
            throw NotAResult::because(
                'its version is '.
                    Str::limit((string) json_encode($file['version'] ?? null), 20).
                    ', and this program reads version '.
                    ResultFile::VERSION.
                    '.',
            );
        }
        $hash = $file['hash'] ?? null;
        if (! is_string($hash) || ! hash_equals(ResultFile::hash($file), $hash)) {
            throw NotAResult::because('it was changed since it was made: its hash does not fit.');
        }
        try {
            $filed = Values::read(FiledResult::class, $file);
            $filed->signature?->mustFit($hash, $filed->madeAt);
            foreach ($filed->runs as $i => $run) {
                if ($run->counted()) {
                    $run->mustHold($filed->card->printed->form, "runs[{$i}]");
                }
            }

            return new self($filed, $file);
        } catch (NotUsable $fault) {
            throw NotAResult::because($fault->getMessage());
        }
    }

    /** @return string|null the station that signed it, as this house knows it; null when it is of others */
    public function signer(): ?string
    {
        return $this->file->signature === null ? null : StationKeys::known($this->file->signature->key);
    }

    /**
     * Files the runs of it that are not in the books yet; or keeps it apart, where no known station vouches for it.
     *
     * @throws NotAResult when it is about another card
     */
    public function take(Card $card, string $by): Taken
    {
        $filed = $this->file->card;
        if (strcasecmp($card->tag, $filed->tag) !== 0) {
            throw NotAResult::because(
                "it is about {$filed->tag} ({$filed->label}), not about {$card->tag}. Open that card and read it in there.",
            );
        }

        $signer = $this->signer();
        if ($signer === null) {
            return $this->keepApart($card, $by);
        }

        return DB::transaction(function () use ($card, $by, $signer): Taken {
            Card::query()->whereKey($card->id)->lockForUpdate()->first();
            $known = $card
                ->runs()
                ->get()
                ->map(fn (Run $run): string => $run->rawResult() === null ? '' : Canonical::hash($run->rawResult()))
                ->all();
            $taken = 0;
            foreach ($this->runs as $run) {
                if (! in_array($run->hash, $known, true)) {
                    $this->file($card, $run, $by);
                    $taken++;
                }
            }
            CardEvidence::refresh($card->refresh());

            return new Taken($taken, $signer);
        });
    }

    private function keepApart(Card $card, string $by): Taken
    {
        $signature = $this->file->signature;
        $kept = ResultOfOthers::query()->insertOrIgnore([
            'card_id' => $card->id,
            'hash' => $this->file->hash,
            'verdict' => $this->file->verdict->kind->value,
            'runs' => count($this->runs),
            'made_at' => mb_substr($this->file->madeAt, 0, 30),
            'station' => $signature === null ? null : mb_substr($signature->station, 0, 80),
            'key' => $signature?->key,
            'file' => Canonical::json($this->json),
            'recorded_by' => mb_substr($by, 0, 80),
            'created_at' => now(),
        ]);

        return new Taken($kept > 0 ? count($this->runs) : 0, null);
    }

    private function file(Card $card, FiledRun $run, string $by): void
    {
        ResultFiling::file(
            new Run([
                'card_id' => $card->id,
                'kind' => $run->kind,
                'source' => RunSource::File,
                'chain' => $run->chain($this->file->card->printed->form),
                'parameters' => $run->parameters(),
                'origin' => [
                    'run' => $run->id,
                    'hash' => $this->file->hash,
                    'made_at' => $this->file->madeAt,
                    'source' => $run->source->value,
                ],
                'beside' => $run->beside === null ? null : mb_substr($run->beside, 0, 200),
                'signed_by' => $this->file->signature?->key,
                'recorded_by' => mb_substr($by, 0, 80),
                'started_at' => $run->startedAt,
            ]),
            $run->state,
            $run->result,
            $run->traces?->all(),
            message: "Read in from a result file of {$this->file->madeAt}, signed by {$this->signer()}, where it was run {$run->id}.",
            ended: $run->endedAt,
        );
    }
}
