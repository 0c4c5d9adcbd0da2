<?php

declare(strict_types=1);

namespace Tally\Transfer;

use Generator;
use Tally\Device\Fault\HostErrorMapper;
use Tally\Device\Host\Calls;
use Tally\Device\Host\HostError;
use Tally\Device\Host\OpenFile;

/** Reads the copies on one drive back from where they lie, and holds them against what was read of the card. */
final class ReadBackPass
{
    /** What was found alike is written down after so many files, or bytes. */
    private const FILES = 256;

    private const BYTES = 1_073_741_824;

    /** @var list<Trouble> */
    public array $troubles = [];

    /** Files that read back the same, those of before included. */
    public int $verified = 0;

    /** Whether the host could be made to forget. */
    public bool $forgot;

    /** @var list<ListedFile> that are to be read */
    private readonly array $files;

    public function __construct(private readonly Destination $drive, private readonly Source $source)
    {
        $whole = $drive->whole();
        usort($whole, fn (ListedFile $one, ListedFile $other): int => strcmp($one->path, $other->path));
        $this->files = array_values(array_filter($whole, fn (ListedFile $file): bool => ! $drive->stage->isVerified($file->path)));
        $this->verified = count($whole) - count($this->files);
        $this->forgot = ! $drive->held->mount->isInMemory();
    }

    public function bytes(): int
    {
        return array_sum(array_map(fn (ListedFile $file): int => $file->size, $this->files));
    }

    /** @return Generator<int, int> bytes that were read since, a stretch at a time, so that several drives can be read side by side */
    public function stretches(): Generator
    {
        if (! $this->drive->isOpen()) {
            return;
        }
        $this->forgot = $this->drive->held->forgetBelow() && $this->forgot;
        $ahead = [];
        [$files, $bytes] = [0, 0];
        foreach ($this->files as $place => $file) {
            for ($next = $place + count($ahead); $next < min(count($this->files), $place + Reading::FILES_AHEAD); $next++) {
                $ahead[] = $this->open($this->files[$next]);
            }
            $open = array_shift($ahead);
            $sum = hash_init('xxh128');
            try {
                $in = $open instanceof OpenFile ? $open : throw ($open ?? new HostError(HostError::ENOENT, 'open', $file->path));
                foreach (Reading::of($in, $file->size) as $stretch) {
                    hash_update($sum, $stretch);
                    yield strlen($stretch);
                }
                $this->judge($file, $in, hash_final($sum));
            } catch (HostError $error) {
                if (! $this->unreadable($file, $error)) {
                    return;
                }
            }
            [$files, $bytes] = [$files + 1, $bytes + $file->size];
            if ($files >= self::FILES || $bytes >= self::BYTES) {
                $this->save();
                [$files, $bytes] = [0, 0];
            }
        }
        $this->save();
    }

    /** Open, forgotten, and asked for. */
    private function open(ListedFile $file): OpenFile|HostError
    {
        try {
            $open = $this->drive->root->file($this->drive->at($file->path), Calls::READ);
        } catch (HostError $error) {
            return $error;
        }
        $this->forgot = $open->forget() && $this->forgot;
        $open->startReading(0, min($file->size, Reading::STRETCH));

        return $open;
    }

    /** @throws HostError */
    private function judge(ListedFile $file, OpenFile $in, string $sum): void
    {
        if ($sum === $file->sums->xxh128 && $in->size() === $file->size) {
            $this->drive->stage->verified($file->path);
            $this->verified++;

            return;
        }
        $isRight = Reading::anew($in, $in->size()) === $file->sums->xxh128;
        $of = $this->ofTheCard($file);
        $this->troubles[] = match (true) {
            $isRight => new Trouble(TroubleKind::CopyUnsteady, $file->path, $this->drive->given),
            $of !== false => new Trouble(
                TroubleKind::CopyDiffers,
                $file->path,
                $this->drive->given,
                $of === null ? ' (the card was not there to be asked)' : '',
            ),
            default => new Trouble(TroubleKind::SourceUnsteady, $file->path, null),
        };
        if (! $isRight) {
            $this->drive->putAside($file->path);
        }
    }

    /** @return bool|null whether the card still reads as it did; null where it cannot be asked */
    private function ofTheCard(ListedFile $file): ?bool
    {
        try {
            return $this->source->isThere()
                ? Reading::anew($this->source->open($file->path), $file->size) === $file->sums->xxh128
                : null;
        } catch (HostError) {
            return null;
        }
    }

    /** @return bool false when it is the whole drive that is gone */
    private function unreadable(ListedFile $file, HostError $error): bool
    {
        if (! $this->drive->held->isThere() || $error->isGone()) {
            $this->drive->close(HostErrorMapper::reading($error, 0, $file->size, $this->drive->given, isThere: false)->getMessage());

            return false;
        }
        $this->troubles[] = new Trouble(TroubleKind::CopyUnreadable, $file->path, $this->drive->given, $error->getMessage());
        $this->drive->putAside($file->path);

        return true;
    }

    private function save(): void
    {
        try {
            $this->drive->stage->save();
        } catch (HostError $error) {
            $this->drive->close($this->drive->told($error, 0));
        }
    }
}
