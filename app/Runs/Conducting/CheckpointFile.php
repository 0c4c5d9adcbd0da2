<?php

declare(strict_types=1);

namespace App\Runs\Conducting;

use App\Runs\WholeFile;
use Closure;
use Illuminate\Support\Fluent;
use InvalidArgumentException;
use RuntimeException;
use Tally\Device\Host\RealPath;
use Tally\Probe\Observing\ProgressSaver;
use Tally\Probe\Proof\Budget;
use Tally\Probe\Proof\Checkpoint;
use Throwable;

/**
 * Where a proof from the terminal can be taken up again, in a file of this machine, by the path of the medium. It is put in
 * place whole or not at all.
 *
 * @implements ProgressSaver<Checkpoint>
 */
final class CheckpointFile implements ProgressSaver
{
    private const EVERY = 0.5;

    private float $next = 0.0;

    /** @param  string|null  $folder  the folder of the run, of one in a mounted card */
    public function __construct(private readonly string $path, private readonly ?string $folder = null) {}

    public function keep(Closure $soFar): void
    {
        $now = hrtime(true) / 1e9;
        if ($now < $this->next) {
            return;
        }
        $this->put(['checkpoint' => $soFar()->pack()]);
        // A slow disk must not make it a large part of the run.
        $this->next = hrtime(true) / 1e9 + max(self::EVERY, (hrtime(true) / 1e9 - $now) / Budget::SHARE);
    }

    /** @param  array<string, mixed>  $what  a checkpoint, or the plan of a screen */
    public function put(array $what): void
    {
        $file = self::file($this->path);
        $json = json_encode(['path' => $this->path, 'folder' => $this->folder, ...$what], JSON_THROW_ON_ERROR);
        if (! WholeFile::put($file, $json)) {
            throw new RuntimeException("The checkpoint could not be written to {$file}: is its disk full?");
        }
    }

    /**
     * @return Fluent<string, mixed> checkpoint or plan, and folder
     *
     * @throws InvalidArgumentException when there is none
     */
    public static function load(string $path): Fluent
    {
        $json = @file_get_contents(self::file($path));
        try {
            $kept = $json === false ? null : json_decode($json, true, flags: JSON_THROW_ON_ERROR);
        } catch (Throwable) {
            $kept = null;
        }
        if (! is_array($kept)) {
            throw new InvalidArgumentException(
                "There is nothing to continue for “{$path}” on this machine: no checkpoint was reached, or it was begun ".
                'elsewhere. Run it without --resume and --again.',
            );
        }

        return new Fluent(array_filter($kept, is_string(...), ARRAY_FILTER_USE_KEY));
    }

    public static function forget(string $path): void
    {
        @unlink(self::file($path));
    }

    private static function file(string $path): string
    {
        return storage_path('app/proofs/'.hash('sha256', RealPath::of($path) ?? $path).'.json');
    }
}
