<?php

declare(strict_types=1);

namespace Tally\Transfer\Filed;

use Tally\Device\Fault\CannotCopy;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\Host\Beneath;
use Tally\Device\Host\HostError;
use Tally\Probe\Observing\Pacemaker;
use Tally\Probe\Observing\Phase;
use Tally\Transfer\Reading;
use Tally\Transfer\Source;
use Tally\Transfer\SourceFile;
use Tally\Transfer\Summing;
use Tally\Transfer\Sums;

/** Holds one folder against its lists, years later: what is missing, what is changed, what is there besides. */
final class FolderCheck
{
    private function __construct(private readonly ?Source $folder, private readonly string $path, private readonly Listing $listing) {}

    /**
     * @param  string  $path  the real one, there or not
     * @param  string|null  $only  the name of one list, where that alone is asked
     * @return self|null null where no list is beside it
     *
     * @throws UnusablePath where it cannot be looked at
     */
    public static function at(string $path, ?string $only = null): ?self
    {
        try {
            $above = Beneath::folder(dirname($path));
            $listing = Listing::beside($above, basename($path), $above->names(), $only);
        } catch (HostError $error) {
            throw CannotCopy::noLists($path, $error->getMessage());
        }
        if ($listing === null) {
            return null;
        }

        // A folder that is gone leaves its lists, and then all of it is missing.
        return new self(is_dir($path) ? Source::at($path, mayBeEmpty: true) : null, $path, $listing);
    }

    /** @return int of all that is listed and there: what is read */
    public function bytes(): int
    {
        return array_sum(array_map(fn (SourceFile $file): int => $file->size, $this->known()));
    }

    /** @return list<SourceFile> */
    private function known(): array
    {
        return array_values(array_filter($this->folder->files ?? [], fn (SourceFile $file): bool => $this->listing->has($file->path)));
    }

    public function run(Pacemaker $beat): FolderFinding
    {
        $forgot = $this->folder?->forgetBelow() ?? true;
        [$same, $changed, $unreadable, $disputed, $stopped, $read] = [0, [], [], [], false, []];
        foreach ($this->known() as $file) {
            $read[$file->path] = true;
            try {
                $sums = $this->sums($file, $beat);
            } catch (HostError) {
                $unreadable[] = $file->path;

                continue;
            }
            if ($sums === null) {
                $stopped = true;
                break;
            }
            $is = ['xxh128' => $sums->xxh128, 'sha256' => $sums->sha256];
            $says = $this->listing->says($file->path);
            if ($this->listing->disputes($file->path)) {
                $disputed[] = new Dispute($file->path, $says, $is);
            } elseif (array_filter($says, fn (array $one): bool => array_diff_assoc($one, $is) !== []) === []) {
                $same++;
            } else {
                $changed[] = $file->path;
            }
        }
        $there = array_map(fn (SourceFile $file): string => $file->path, $this->folder->files ?? []);

        return new FolderFinding(
            $this->path,
            $same,
            array_values(array_diff($this->listing->paths(), $there)),
            $changed,
            extra: array_values(array_filter($there, fn (string $path): bool => ! $this->listing->has($path))),
            unreadable: $unreadable,
            disputed: $disputed,
            faults: array_values($this->listing->faults),
            isPart: $this->listing->isPart,
            records: $this->listing->records,
            stopped: $stopped,
            forgot: $forgot,
        );
    }

    /**
     * @return Sums|null null when it was stopped
     *
     * @throws HostError
     */
    private function sums(SourceFile $file, Pacemaker $beat): ?Sums
    {
        $open = $this->folder?->open($file->path) ?? throw new HostError(HostError::ENOENT, 'open', $file->path);
        $open->forget();
        $summing = new Summing();
        foreach (Reading::of($open, $file->size) as $at => $bytes) {
            if ($beat->wantsStop()) {
                return null;
            }
            $summing->add($bytes);
            $beat->beat(Phase::Reading, 1, $at, $file->size, moved: strlen($bytes));
        }

        return $summing->sums();
    }
}
