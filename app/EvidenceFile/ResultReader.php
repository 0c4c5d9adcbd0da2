<?php

declare(strict_types=1);

namespace App\EvidenceFile;

use App\Evidence\CardEvidence;
use App\Models\Card;
use App\Models\Run;
use App\Models\RunSample;
use App\Runs\ProofRecord;
use App\Runs\RunKind;
use App\Runs\RunSource;
use App\Runs\RunState;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Fluent;
use Illuminate\Support\Str;
use JsonException;
use Throwable;

/** Reads a result file back: checks that nothing in it was changed, and takes its runs over into the books. */
final readonly class ResultReader
{
    /** Larger than any we write. Bytes. */
    public const MOST = 64_000_000;

    /**
     * @param  list<array<string, mixed>>  $runs  with a result each
     */
    private function __construct(public string $tag, public string $label, public string $madeAt, public string $hash, public array $runs) {}

    /** @throws NotAResult */
    public static function read(string $json): self
    {
        if (strlen($json) > self::MOST) {
            throw NotAResult::because('it is larger than 64 MB, and none is.');
        }
        try {
            $file = json_decode($json, true, 64, JSON_THROW_ON_ERROR);
        } catch (JsonException $fault) {
            throw NotAResult::because("it is no JSON ({$fault->getMessage()}).");
        }
        $file = is_array($file) ? $file : [];
        if (($file['format'] ?? null) !== ResultFile::FORMAT) {
            throw NotAResult::because('it does not say that it is one ("format": "'.ResultFile::FORMAT.'").');
        }
        if (($file['version'] ?? null) !== ResultFile::VERSION) {
            throw NotAResult::because('its version is '.Str::limit((string) json_encode($file['version'] ?? null), 20).', and this program reads version '.ResultFile::VERSION.'.');
        }
        $hash = $file['hash'] ?? null;
        if (! is_string($hash) || ! hash_equals(ResultFile::hash($file), $hash)) {
            throw NotAResult::because('it was changed since it was made: its hash does not fit.');
        }
        $card = new Fluent(is_array($file['card'] ?? null) ? $file['card'] : []);

        return new self($card->string('tag')->value(), $card->string('label')->value(), is_string($file['made_at'] ?? null) ? $file['made_at'] : '', $hash, self::runs($file['runs'] ?? null));
    }

    /**
     * Files the runs of it that are not in the books yet.
     *
     * @return int how many
     *
     * @throws NotAResult when it is about another card, or a result in it is none
     */
    public function take(Card $card, string $by): int
    {
        if (strcasecmp($card->tag, $this->tag) !== 0) {
            throw NotAResult::because("it is about {$this->tag} ({$this->label}), not about {$card->tag}. Open that card and read it in there.");
        }

        return DB::transaction(function () use ($card, $by): int {
            Card::query()->whereKey($card->id)->lockForUpdate()->first();
            $known = $card->runs()->get()->map(fn (Run $run): string => $run->result === null ? '' : Canonical::hash($run->result->toArray()))->all();
            $taken = 0;
            foreach ($this->runs as $run) {
                $run = new Fluent($run);
                if (in_array($run->string('hash')->value(), $known, true)) {
                    continue;
                }
                $this->file($card, $run, $by);
                $taken++;
            }
            CardEvidence::refresh($card->refresh());

            return $taken;
        });
    }

    /** @param  Fluent<string, mixed>  $run */
    private function file(Card $card, Fluent $run, string $by): void
    {
        $kind = RunKind::from($run->string('kind')->value());
        if ($kind->isProof()) {
            try {
                ProofRecord::unpack(new Fluent($run->array('result')));
            } catch (Throwable $fault) {
                throw NotAResult::because('run '.$run->integer('id')." in it cannot be understood ({$fault->getMessage()}).");
            }
        }
        $filed = Run::query()->create([
            'card_id' => $card->id, 'kind' => $kind, 'state' => RunState::tryFrom($run->string('state')->value()) ?? RunState::Done, 'source' => RunSource::File,
            'chain' => $run->array('chain'), 'parameters' => [...$run->array('parameters'), 'file' => ['run' => $run->integer('id'), 'hash' => $this->hash, 'made_at' => $this->madeAt]],
            'result' => $run->array('result'), 'message' => "Read in from a result file of {$this->madeAt}, where it was run {$run->integer('id')}.",
            'beside' => $run->get('beside') === null ? null : $run->string('beside')->limit(200, '')->value(), 'recorded_by' => mb_substr($by, 0, 80),
            'started_at' => $this->time($run->get('started_at')), 'ended_at' => $this->time($run->get('ended_at')),
        ]);
        $traces = $run->array('traces');
        if (is_array($traces['write'] ?? null) && is_array($traces['read'] ?? null)) {
            RunSample::query()->create(['run_id' => $filed->id, 'traces' => $traces]);
        }
    }

    private function time(mixed $given): ?string
    {
        $time = is_string($given) ? strtotime($given) : false;

        return $time === false ? null : gmdate('Y-m-d H:i:s', $time);
    }

    /**
     * @return list<array<string, mixed>>
     *
     * @throws NotAResult
     */
    private static function runs(mixed $given): array
    {
        $runs = [];
        foreach (is_array($given) ? $given : [] as $run) {
            if (! is_array($run) || ! is_string($run['kind'] ?? null) || RunKind::tryFrom($run['kind']) === null) {
                throw NotAResult::because('a run in it is of no kind that is known here.');
            }
            if (! is_array($run['result'] ?? null) || ($run['void'] ?? null) !== null) {
                continue;
            }
            if (Canonical::hash($run['result']) !== ($run['hash'] ?? null)) {
                throw NotAResult::because('the hash of a result in it does not fit.');
            }
            $runs[] = array_filter($run, is_string(...), ARRAY_FILTER_USE_KEY);
        }

        return $runs;
    }
}
