<?php

declare(strict_types=1);

namespace App\Runs\Conducting;

use App\Runs\WholeFile;
use Closure;
use InvalidArgumentException;
use RuntimeException;
use Tally\Device\Host\RealPath;
use Tally\Probe\Observing\ProgressSaver;
use Tally\Probe\Proof\Budget;
use Tally\Probe\Proof\Checkpoint;
use Tally\Probe\Screen\ScreenPlan;
use Tally\Value\NotUsable;
use Tally\Value\Values;
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
        $this->put($soFar());
        // A slow disk must not make it a large part of the run.
        $this->next = hrtime(true) / 1e9 + max(self::EVERY, (hrtime(true) / 1e9 - $now) / Budget::SHARE);
    }

    public function put(Checkpoint|ScreenPlan $what): void
    {
        $file = self::file($this->path);
        $json = Values::json($what instanceof Checkpoint
            ? new LeftOnMedium($this->path, $this->folder, $what)
            : new LeftOnMedium($this->path, $this->folder, screen: $what));
        if (! WholeFile::put($file, $json)) {
            throw new RuntimeException("The checkpoint could not be written to {$file}: is its disk full?");
        }
    }

    /**
     * @throws InvalidArgumentException when there is none, or none of ours
     */
    public static function load(string $path): LeftOnMedium
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

        try {
            return Values::read(LeftOnMedium::class, $kept);
        } catch (NotUsable $fault) {
            throw new InvalidArgumentException("What was left for “{$path}” is not ours: {$fault->getMessage()} Begin anew, without it.");
        }
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
