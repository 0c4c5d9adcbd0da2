<?php

declare(strict_types=1);

namespace Tally\Transfer;

use Closure;
use Tally\Device\Fault\MediumGone;
use Tally\Device\Host\FileFacts;
use Tally\Device\Host\HostError;
use Tally\Device\Host\OpenFile;
use Tally\Probe\Observing\Pacemaker;
use Tally\Probe\Observing\Phase;

/** Reads each file of the source once, and writes it to every drive that lacks it. */
final class CopyPass
{
    /** What is written is named after so many files, or bytes. */
    private const FILES = 512;

    private const BYTES = 67_108_864;

    /** A file that changes while it is read is begun anew, so often in all. */
    private const TRIES = 3;

    /** @var list<Trouble> */
    public array $troubles = [];

    /** Bytes that were read of the source. */
    public int $read = 0;

    /** @var array<int, OpenFile|HostError> by place in the list: opened before it is their turn, or what the host said */
    private array $ahead = [];

    private int $asked = 0;

    private readonly Sha256Beside $sha256;

    /** @var list<array{SourceFile, string}|null> files whose SHA-256 was begun, with their XXH128; null for one that is not kept */
    private array $summed = [];

    /**
     * @param  list<SourceFile>  $files
     * @param  list<Destination>  $onto
     * @param  array<string, ListedFile>  $known  by path: what the files are to be, where they were read before
     * @param  (Closure(int): void)|null  $each  told of each file’s bytes once it has its name, which it is given alone then
     */
    public function __construct(
        private readonly Source $source,
        private readonly array $files,
        private readonly array $onto,
        private readonly array $known,
        private readonly Pacemaker $beat,
        private readonly ?Closure $each = null,
    ) {
        $this->sha256 = new Sha256Beside();
    }

    /**
     * @return bool false when it was stopped
     *
     * @throws MediumGone when the source is not there any more
     */
    public function run(): bool
    {
        $files = $bytes = 0;
        $done = true;
        try {
            foreach ($this->files as $place => $file) {
                $lacking = $this->lacking($file->path);
                if ($lacking === []) {
                    continue;
                }
                $this->askAhead($place);
                $done = $this->carry($place, $lacking);
                [$files, $bytes] = [$files + 1, $bytes + $file->size];
                if (! $done) {
                    break;
                }
                if ($this->each !== null || $files >= self::FILES || $bytes >= self::BYTES) {
                    $this->commit();
                    $this->told($file->path);
                    [$files, $bytes] = [0, 0];
                }
            }
        } finally {
            $this->commit();
        }

        return $done;
    }

    private function told(string $path): void
    {
        foreach ($this->each === null ? [] : $this->onto as $drive) {
            $whole = $drive->whole()[$path] ?? null;
            if ($whole !== null && $this->each !== null) {
                ($this->each)($whole->size);

                return;
            }
        }
    }

    /** What was written is brought onto the drives and named, with its checksums. */
    private function commit(): void
    {
        $listed = $this->known;
        foreach ($this->sha256->digests() as $at => $sha256) {
            [$file, $xxh128] = $this->summed[$at] ?? [null, ''];
            if ($file !== null && $sha256 !== null) {
                $listed[$file->path] = ListedFile::of($file, new Sums($xxh128, $sha256));
            }
        }
        $this->summed = [];
        foreach ($this->onto as $drive) {
            $drive->commit($listed);
        }
    }

    /** @return list<Destination> drives that still take files, and have not this one */
    private function lacking(string $path): array
    {
        return array_values(array_filter($this->onto, fn (Destination $drive): bool => $drive->isOpen() && $drive->lacks($path)));
    }

    /** Files are opened and asked for before it is their turn: one after another, a card would wait for each. */
    private function askAhead(int $place): void
    {
        $until = min(count($this->files), $place + Reading::FILES_AHEAD);
        for ($this->asked = max($this->asked, $place); $this->asked < $until; $this->asked++) {
            $file = $this->files[$this->asked];
            if ($this->lacking($file->path) === []) {
                continue;
            }
            try {
                $open = $this->source->open($file->path);
                if ($this->asked > $place) {
                    $open->startReading(0, min($file->size, Reading::STRETCH));
                }
                $this->ahead[$this->asked] = $open;
            } catch (HostError $error) {
                $this->ahead[$this->asked] = $error;
            }
        }
    }

    /**
     * @param  bool  $isFirst  where it is tried anew, it is opened anew
     *
     * @throws HostError
     */
    private function open(int $place, bool $isFirst): OpenFile
    {
        $open = $isFirst ? $this->ahead[$place] ?? null : null;
        unset($this->ahead[$place]);

        return match (true) {
            $open instanceof HostError => throw $open,
            $open === null => $this->source->open($this->files[$place]->path),
            default => $open,
        };
    }

    /**
     * @param  list<Destination>  $onto
     * @return bool false when it was stopped
     *
     * @throws MediumGone
     */
    private function carry(int $place, array $onto): bool
    {
        $file = $this->files[$place];
        for ($try = 1; $try <= self::TRIES; $try++) {
            try {
                $in = $this->open($place, $try === 1);
                $before = FileFacts::of($in);
                $now = new SourceFile($file->path, $before->size, $before->changed, $before->nano);
                // Read twice, or grown since it was counted.
                $this->beat->more($try === 1 ? $now->size - $file->size : $now->size);
                $sum = $before->isFile() ? $this->read($in, $now, $onto) : null;
                $isSame = $before->isFile() && FileFacts::of($in)->state === $before->state;
            } catch (HostError $error) {
                $this->drop($onto);
                if (! $this->source->isThere() || $error->isGone()) {
                    throw MediumGone::from($this->source->given);
                }
                $this->troubles[] = new Trouble(TroubleKind::Unreadable, $file->path, null, $error->getMessage());

                return true;
            }
            if ($sum === null && $this->beat->wantsStop()) {
                $this->drop($onto);

                return false;
            }
            if ($sum !== null && $isSame) {
                $this->keep($now, $sum, $onto);

                return true;
            }
            $this->drop($onto);
            // It ended before its time, and nobody writes to it: the card does not give what it says it holds.
            $short = $isSame ? "it ends before its {$now->size} bytes" : null;
        }
        $this->troubles[] = ($short ?? null) !== null
            ? new Trouble(TroubleKind::Unreadable, $file->path, null, $short)
            : new Trouble(TroubleKind::Changed, $file->path, null);

        return true;
    }

    /**
     * @param  list<Destination>  $onto
     * @return string|null its XXH128, hexadecimal; null when it was stopped, or ended before its time
     *
     * @throws HostError
     */
    private function read(OpenFile $in, SourceFile $file, array $onto): ?string
    {
        foreach ($onto as $drive) {
            $drive->begin($file);
        }
        $sum = hash_init('xxh128');
        $end = 0;
        try {
            foreach (Reading::of($in, $file->size) as $at => $bytes) {
                if ($this->beat->wantsStop()) {
                    return null;
                }
                $this->read += strlen($bytes);
                hash_update($sum, $bytes);
                if ($this->known === []) {
                    $this->sha256->add($bytes);
                }
                foreach ($onto as $drive) {
                    $drive->write($at, $bytes);
                }
                $end = $at + strlen($bytes);
                $this->beat->beat(Phase::Writing, 1, $end, $file->size, moved: strlen($bytes));
            }
        } finally {
            // Whatever became of it, the next one begins anew.
            if ($this->known === []) {
                $this->sha256->end();
                $this->summed[] = null;
            }
        }

        return $end === $file->size ? hash_final($sum) : null;
    }

    /** @param  list<Destination>  $onto */
    private function keep(SourceFile $file, string $sum, array $onto): void
    {
        $known = $this->known[$file->path] ?? null;
        if ($known !== null && $known->sums->xxh128 !== $sum) {
            $this->drop($onto);
            $this->troubles[] = $this->differs($file, $known);

            return;
        }
        if ($known === null) {
            array_pop($this->summed);
            $this->summed[] = [$file, $sum];
        }
        foreach ($onto as $drive) {
            // The dates are those of the card, also where the first copy could not keep them.
            $drive->end($known === null ? $file : new SourceFile($known->path, $known->size, $known->changed, $known->nano));
        }
    }

    /** What was read is not what was read of the card: once more, and from where it lies. */
    private function differs(SourceFile $file, ListedFile $known): Trouble
    {
        try {
            $isRight = Reading::anew($this->source->open($file->path), $file->size) === $known->sums->xxh128;

            return $isRight
                ? new Trouble(TroubleKind::SourceUnsteady, $file->path, null)
                : new Trouble(TroubleKind::SourceDiffers, $file->path, null, 'twice read, other bytes than the card gave');
        } catch (HostError $error) {
            return new Trouble(TroubleKind::Unreadable, $file->path, null, $error->getMessage());
        }
    }

    /** @param  list<Destination>  $onto */
    private function drop(array $onto): void
    {
        foreach ($onto as $drive) {
            $drive->drop();
        }
    }
}
