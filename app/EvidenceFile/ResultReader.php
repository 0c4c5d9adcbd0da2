<?php

declare(strict_types=1);

namespace App\EvidenceFile;

use App\Evidence\CardEvidence;
use App\Models\Cards\Card;
use App\Models\Cards\ResultOfOthers;
use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use App\Runs\Filing\ResultFiling;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use JsonException;
use Tally\Label\Form;
use Tally\Record\Before;
use Tally\Record\ChainRecord;
use Tally\Record\Fields;
use Tally\Record\NotUsable;
use Tally\Record\RunKind;
use Tally\Record\RunSource;
use Tally\Verdict\VerdictKind;

/** Reads a result file back: checks that nothing in it was changed, and takes its runs over into the books. */
final readonly class ResultReader
{
    /** Larger than any we write. Bytes. */
    public const MOST = 12_000_000;

    /**
     * @param  list<FiledRun>  $runs  those with a result that counted where it was made
     * @param  string|null  $station  who signed it, as the file says; null when nobody did
     * @param  string|null  $key  by which it is signed, rightly
     */
    private function __construct(
        public string $tag,
        public string $label,
        public string $madeAt,
        public string $hash,
        public Fields $file,
        public array $runs,
        public ?string $station,
        public ?string $key,
    ) {}

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
            $fields = new Fields($file);
            $card = $fields->fields('card');
            [$station, $key] = self::signed($fields, $hash);

            return new self(
                $card->text('tag', ''),
                $card->text('label', ''),
                $fields->text('made_at', ''),
                $hash,
                $fields,
                self::runs($fields, $card->choice('form', Form::class)),
                $station,
                $key,
            );
        } catch (NotUsable $fault) {
            throw NotAResult::because($fault->getMessage());
        }
    }

    /** @return string|null the station that signed it, as this house knows it; null when it is of others */
    public function signer(): ?string
    {
        return $this->key === null ? null : StationKeys::known($this->key);
    }

    /**
     * Files the runs of it that are not in the books yet; or keeps it apart, where no known station vouches for it.
     *
     * @throws NotAResult when it is about another card
     */
    public function take(Card $card, string $by): Taken
    {
        if (strcasecmp($card->tag, $this->tag) !== 0) {
            throw NotAResult::because(
                "it is about {$this->tag} ({$this->label}), not about {$card->tag}. Open that card and read it in there.",
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
        $kept = ResultOfOthers::query()->insertOrIgnore([
            'card_id' => $card->id,
            'hash' => $this->hash,
            'verdict' => $this->file->fields('verdict')->choice('kind', VerdictKind::class)->value,
            'runs' => count($this->runs),
            'made_at' => mb_substr($this->madeAt, 0, 30),
            'station' => $this->station === null ? null : mb_substr($this->station, 0, 80),
            'key' => $this->key,
            'file' => Canonical::json($this->file->values),
            'recorded_by' => mb_substr($by, 0, 80),
            'created_at' => now(),
        ]);

        return new Taken($kept > 0 ? count($this->runs) : 0, null);
    }

    /**
     * @return array{string|null, string|null} who signed it, and by which key
     *
     * @throws NotAResult|NotUsable when the signature is not of this file
     */
    private static function signed(Fields $file, string $hash): array
    {
        if (! $file->has('signature')) {
            return [null, null];
        }
        $signature = $file->fields('signature');
        [$station, $key, $value] = [$signature->text('station'), $signature->text('key'), $signature->text('value')];
        $message = match ($signature->has('covers') ? $signature->texts('covers') : null) {
            null => $hash,
            StationKeys::COVERS => StationKeys::message($hash, $file->text('made_at', ''), $station),
            default => throw $signature->wrong('covers', 'this program signs '.implode(', ', StationKeys::COVERS).'.'),
        };
        if (! StationKeys::verify($message, $key, $value)) {
            throw NotAResult::because('its signature is not of this file: it was changed since, or signed by another key.');
        }

        return [$station, $key];
    }

    private function file(Card $card, FiledRun $run, string $by): void
    {
        ResultFiling::file(
            new Run([
                'card_id' => $card->id,
                'kind' => $run->kind,
                'source' => RunSource::File,
                'chain' => $run->chain,
                'parameters' => $run->parameters,
                'origin' => ['run' => $run->id, 'hash' => $this->hash, 'made_at' => $this->madeAt, 'source' => $run->source->value],
                'beside' => $run->beside,
                'signed_by' => $this->key,
                'recorded_by' => mb_substr($by, 0, 80),
                'started_at' => $run->startedAt,
            ]),
            $run->state,
            $run->raw,
            $run->traces,
            "Read in from a result file of {$this->madeAt}, signed by {$this->signer()}, where it was run {$run->id}.",
            $run->endedAt,
        );
    }

    /**
     * @return list<FiledRun>
     *
     * @throws NotAResult|NotUsable
     */
    private static function runs(Fields $file, Form $form): array
    {
        $runs = [];
        foreach ($file->rows('runs') as $run) {
            if (! $run->has('result') || $run->has('void')) {
                continue;
            }
            $raw = $run->fields('result');
            $hash = $run->text('hash', '');
            if (Canonical::hash($raw->values) !== $hash) {
                throw NotAResult::because('the hash of a result in it does not fit.');
            }
            $kind = $run->choice('kind', RunKind::class);
            $parameters = $run->fields('parameters');
            $state = $run->choice('state', RunState::class);
            $runs[] = new FiledRun(
                $run->integer('id', 0),
                $kind,
                $state->isGoing() ? throw $run->wrong('state', 'a run in a result file has ended.') : $state,
                $run->has('source') ? $run->choice('source', RunSource::class) : RunSource::Device,
                ChainRecord::unpack(new Fields(Before::chain($run->fields('chain')->values, $form), $run->name('chain'))),
                $kind->parameters($parameters),
                $kind->result($kind->isProof() ? new Fields(Before::proof($raw->values, $parameters->values), $raw->at) : $raw),
                $raw->values,
                $hash,
                $run->has('beside') ? mb_substr($run->text('beside'), 0, 200) : null,
                FiledRun::traces($run),
                FiledRun::moment($run, 'started_at'),
                FiledRun::moment($run, 'ended_at'),
            );
        }

        return $runs;
    }
}
