<?php

declare(strict_types=1);

namespace App\Runs\Filing;

use App\Models\Cards\Card;
use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use App\Models\Runs\Traces;
use App\Runs\WholeFile;
use App\Stations\OneAtATime;
use Closure;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use RuntimeException;
use Tally\Value\Values;
use Throwable;

/**
 * A result on the disk of its station, before it is in the books: it is put there before anything that the run wrote is
 * cleared, and taken away only when it is filed. So a database that is away, or a worker that dies just then, loses nothing.
 *
 * One file for each result, named so that their order is that of their names.
 */
final readonly class UnfiledResult
{
    /** How often it is tried again while the books are away. Seconds. */
    private const AGAIN = 1.5;

    /**
     * @param  string|null  $file  null where the disk takes nothing
     * @param  array<mixed>|null  $entry  what would stand in it then
     */
    private function __construct(private ?string $file, private ?array $entry = null) {}

    /** Where the disk is full it is only held, until the books or the disk take it. */
    public static function put(Run $run, Outcome $outcome): self
    {
        $entry = [
            'run' => $run->exists ? $run->id : null,
            'of' => self::mark($run),
            'tag' => $run->relationLoaded('card') ? $run->card->tag : null,
            'attributes' => $run->exists ? $run->getDirty() : $run->getAttributes(),
            'state' => $outcome->state->value,
            'result' => $outcome->result === null ? null : Values::write($outcome->result),
            'traces' => $outcome->traces,
            'message' => $outcome->message,
            'ended_at' => now()->utc()->format('Y-m-d H:i:s'),
        ];
        if ($outcome->checkpoint !== null) {
            $entry['attributes']['checkpoint'] = Values::json($outcome->checkpoint);
        }
        $file =
            self::folder().sprintf('/%s-%06d-%s.json', now()->utc()->format('Ymd-His-u'), getmypid(), $run->exists ? $run->id : 'new');
        $json = json_encode($entry, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);

        return WholeFile::put($file, $json) ? new self($file) : new self(null, self::array($json));
    }

    /** Whether it outlives this process. */
    public function isPut(): bool
    {
        return $this->file !== null;
    }

    /**
     * Files it, and waits for the books if they are away.
     *
     * @param  Closure(): bool  $givesUp  asked now and then; what is not filed by then is filed when the station starts next
     * @return Run|null null when it is still on the disk
     *
     * @throws RuntimeException where neither the books nor the disk took it
     */
    public function file(Closure $givesUp): ?Run
    {
        for (; ;) {
            try {
                return OneAtATime::by(self::folder().'/lock', fn (): ?Run => $this->enter());
            } catch (Throwable $fault) {
                if (! DatabaseAway::is($fault)) {
                    throw $fault;
                }
                DB::disconnect();
            }
            if ($givesUp()) {
                return $this->file !== null
                    ? null
                    : throw new RuntimeException('The result was taken neither by the books nor by the disk of this station.');
            }
            usleep((int) (self::AGAIN * 1e6));
        }
    }

    /** Files all that waits here, in the order in which it came about. One that the books refuse is put aside, and the log says why. */
    public static function fileAll(): void
    {
        foreach (self::waiting() as $file) {
            try {
                OneAtATime::by(self::folder().'/lock', fn (): ?Run => (new self($file))->enter());
            } catch (Throwable $fault) {
                if (DatabaseAway::is($fault)) {
                    throw $fault;
                }
                Log::error("The result in {$file} could not be saved: {$fault->getMessage()}");
                @rename($file, "{$file}.refused");
            }
        }
    }

    /** @return list<string> files, in order */
    public static function waiting(): array
    {
        $files = glob(self::folder().'/*.json');

        return $files === false ? [] : $files;
    }

    public static function has(Run $run): bool
    {
        return array_filter(self::waiting(), fn (string $file): bool => str_ends_with($file, "-{$run->id}.json")) !== [];
    }

    private function enter(): ?Run
    {
        $entry = $this->entry ?? self::array((string) @file_get_contents((string) $this->file));
        if ($entry === null) {
            // Another worker was faster.
            return null;
        }
        $run = self::run($entry);
        if ($run !== null && (! $run->exists || $run->state->isGoing() || $run->state === RunState::Interrupted)) {
            $traces = $entry['traces'] ?? null;
            $result = $entry['result'] ?? null;
            ResultFiling::file(
                $run,
                RunState::from(is_string($entry['state'] ?? null) ? $entry['state'] : ''),
                is_array($result) ? $result : null,
                is_array($traces) ? Values::read(Traces::class, $traces)->all() : null,
                message: is_string($entry['message'] ?? null) ? $entry['message'] : null,
                ended: Carbon::parse(is_string($entry['ended_at'] ?? null) ? $entry['ended_at'] : 'now', 'UTC'),
            );
        }
        if ($this->file !== null) {
            $run === null ? @rename($this->file, "{$this->file}.of-other-books") : @unlink($this->file);
        }

        return $run;
    }

    /** @return array<mixed>|null */
    private static function array(string $json): ?array
    {
        $entry = json_decode($json, true);

        return is_array($entry) ? $entry : null;
    }

    /**
     * @param  array<mixed>  $entry
     * @return Run|null null when the books do not know it
     */
    private static function run(array $entry): ?Run
    {
        $attributes = is_array($entry['attributes'] ?? null)
            ? array_filter($entry['attributes'], is_string(...), ARRAY_FILTER_USE_KEY)
            : [];
        if (($entry['run'] ?? null) === null) {
            $isOurs = Card::query()
                ->whereKey($attributes['card_id'] ?? 0)
                ->where('tag', $entry['tag'] ?? '')
                ->exists();

            return ! $isOurs ? null : (new Run())->setRawAttributes([...(new Run())->getAttributes(), ...$attributes]);
        }
        $run = Run::query()
            ->with(['card', 'slot', 'station'])
            ->whereKey($entry['run'])
            ->first();
        if ($run === null || self::mark($run) !== ($entry['of'] ?? null)) {
            return null;
        }

        return $run->setRawAttributes([...$run->getAttributes(), ...$attributes]);
    }

    /** By which a run of these books is told from one of the same number in books that were made anew. */
    private static function mark(Run $run): string
    {
        return $run->exists ? "{$run->card_id} {$run->kind->value} {$run->created_at->getTimestamp()}" : '';
    }

    /** Of these books alone. */
    private static function folder(): string
    {
        $database = config('database.connections.'.DB::getDefaultConnection().'.database');

        return storage_path('app/unfiled-'.(is_string($database) ? $database : ''));
    }
}
