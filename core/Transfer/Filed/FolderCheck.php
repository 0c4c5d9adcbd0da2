<?php

declare(strict_types=1);

namespace Tally\Transfer\Filed;

use Tally\Device\Clock;
use Tally\Device\Fault\CannotCopy;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\Host\Beneath;
use Tally\Device\Host\Calls;
use Tally\Device\Host\HostError;
use Tally\Device\Host\RealPath;
use Tally\Probe\Observing\Observer;
use Tally\Probe\Observing\Pacemaker;
use Tally\Probe\Observing\Phase;
use Tally\Probe\Observing\Unobserved;
use Tally\Record\NotUsable;
use Tally\Transfer\FilePath;
use Tally\Transfer\Reading;
use Tally\Transfer\Source;
use Tally\Transfer\SourceFile;
use Tally\Transfer\Summing;
use Tally\Transfer\Sums;

/** Holds a folder against the lists beside it, years later: what is missing, what is changed, what is there besides. */
final class FolderCheck
{
    /** A list is not larger: bytes. */
    private const LARGEST = 1_073_741_824;

    /** @var array<array{path: string, sums: array{xxh128?: string, sha256?: string}}> by path, which as a key may be a number */
    private array $listed = [];

    /** @var list<string> paths of which two lists say different things */
    private array $disputed = [];

    private function __construct(private readonly Source $folder, private readonly string $given) {}

    /**
     * @param  string  $given  the folder of a copy
     *
     * @throws UnusablePath when there is no such folder, or no list beside it
     * @throws NotUsable when a list is none
     */
    public static function of(string $given): self
    {
        $source = Source::at($given, mayBeEmpty: true);
        $check = new self($source, $given);
        $name = basename($source->path);
        $found = false;
        try {
            $above = Beneath::folder(dirname($source->path));
            foreach ($above->names() as $file) {
                if (preg_match('/^'.preg_quote($name, '/').'(\.\d+)?\.(sha256|xxh128|copy\.json)$/D', $file, $parts) === 1) {
                    $check->take($name, $parts[2], self::text($above, $file), $file);
                    $found = true;
                }
            }
        } catch (HostError $error) {
            throw CannotCopy::noLists($given, $error->getMessage());
        }

        return $found ? $check : throw CannotCopy::noLists($given, 'none is there');
    }

    /** @throws HostError */
    private static function text(Beneath $folder, string $file): string
    {
        $open = $folder->file($file, Calls::READ | Calls::NON_BLOCKING);

        return $open->read(0, min($open->size(), self::LARGEST));
    }

    /** @throws NotUsable */
    private function take(string $name, string $kind, string $text, string $file): void
    {
        try {
            if ($kind === BesideCopy::RECORD) {
                foreach (CopyRecord::files($text) as $listed) {
                    $this->say($listed->path, 'xxh128', $listed->sums->xxh128);
                    $this->say($listed->path, 'sha256', $listed->sums->sha256);
                }

                return;
            }
            $isSha = $kind === BesideCopy::SHA256;
            foreach (ChecksumList::read($text, $isSha ? 64 : 32, $isSha) as [$path, $sum]) {
                if (! str_starts_with($path, "{$name}/")) {
                    throw NotUsable::field('name', FilePath::shown($path), "a file of the folder {$name} would do.");
                }
                $this->say(substr($path, strlen($name) + 1), $isSha ? 'sha256' : 'xxh128', $sum);
            }
        } catch (NotUsable $fault) {
            throw NotUsable::field($file, '…', $fault->getMessage());
        }
    }

    /** @param  'xxh128'|'sha256'  $kind */
    private function say(string $path, string $kind, string $sum): void
    {
        $sums = $this->listed[$path]['sums'] ?? [];
        if (($sums[$kind] ?? $sum) !== $sum) {
            $this->disputed[] = $path;
        }
        $this->listed[$path] = ['path' => $path, 'sums' => [...$sums, $kind => $sum]];
    }

    public function run(Clock $clock, Observer $observer = new Unobserved()): FolderFinding
    {
        $there = [];
        foreach ($this->folder->files as $file) {
            $there[$file->path] = $file;
        }
        $known = array_intersect_key($there, $this->listed);
        $beat = new Pacemaker($clock, $observer, array_sum(array_map(fn (SourceFile $file): int => $file->size, $known)));
        $this->folder->forgetBelow();
        [$same, $changed, $unreadable, $stopped] = [0, [], [], false];
        foreach ($known as $file) {
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
            $listed = $this->listed[$file->path]['sums'] ?? [];
            $isSame = array_diff_assoc($listed, ['xxh128' => $sums->xxh128, 'sha256' => $sums->sha256]) === [];
            if ($isSame && ! in_array($file->path, $this->disputed, true)) {
                $same++;
            } else {
                $changed[] = $file->path;
            }
        }

        return new FolderFinding(
            RealPath::of($this->given) ?? $this->given,
            $same,
            array_values(array_map(fn (array $listed): string => $listed['path'], array_diff_key($this->listed, $there))),
            $changed,
            array_values(array_map(fn (SourceFile $file): string => $file->path, array_diff_key($there, $this->listed))),
            $unreadable,
            $this->disputed,
            $stopped,
        );
    }

    /**
     * @return Sums|null null when it was stopped
     *
     * @throws HostError
     */
    private function sums(SourceFile $file, Pacemaker $beat): ?Sums
    {
        $open = $this->folder->open($file->path);
        $open->forget();
        $summing = new Summing();
        foreach (Reading::of($open, $file->size) as $at => $bytes) {
            if ($beat->wantsStop()) {
                return null;
            }
            $summing->add($bytes);
            $beat->beat(Phase::Reading, 1, $at, $file->size, strlen($bytes));
        }

        return $summing->sums();
    }
}
