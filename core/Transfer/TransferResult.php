<?php

declare(strict_types=1);

namespace Tally\Transfer;

use JsonSerializable;

/** What came of bringing one card home. */
final readonly class TransferResult implements JsonSerializable
{
    /**
     * @param  string  $from  the folder of the card
     * @param  int  $files  on the card, and their bytes
     * @param  int  $read  bytes that were read of the card to copy it
     * @param  float  $copied  seconds until the last file had its name
     * @param  float|null  $readBack  seconds until all was read back; null where it was not asked for or not reached
     * @param  float  $seconds  in all
     * @param  list<string>  $skipped  links and what is no file
     * @param  list<CopyOnDrive>  $copies
     * @param  list<Trouble>  $troubles
     * @param  bool  $stopped  by somebody
     * @param  string|null  $cutShort  a sentence, where the card went away
     */
    public function __construct(
        public string $from,
        public int $files,
        public int $bytes,
        public int $read,
        public float $copied,
        public ?float $readBack,
        public float $seconds,
        public array $skipped,
        public array $copies,
        public array $troubles,
        public bool $stopped,
        public ?string $cutShort,
    ) {}

    /** Whether all of it is on every drive, and was read back the same. */
    public function isHome(): bool
    {
        foreach ($this->copies as $copy) {
            if (! $copy->isWhole($this->files)) {
                return false;
            }
        }

        return $this->troubles === [] && ! $this->stopped && $this->cutShort === null;
    }

    /** @return string|null a sentence, where not all of the source could be read as it is */
    public function ofTheSource(): ?string
    {
        foreach ($this->troubles as $trouble) {
            if ($trouble->kind->isOfTheSource()) {
                return $trouble->sentence();
            }
        }

        return null;
    }

    /** @return list<string> files that did not read back as they were written */
    public function ofTheCopies(): array
    {
        $of = array_filter($this->troubles, fn (Trouble $trouble): bool => ! $trouble->kind->isOfTheSource());

        return array_values(array_map(fn (Trouble $trouble): string => FilePath::shown($trouble->path), $of));
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'from' => $this->from,
            'files' => $this->files,
            'bytes' => $this->bytes,
            'read' => $this->read,
            'copied_after' => round($this->copied, 3),
            'seconds' => round($this->seconds, 3),
            'skipped' => array_map(FilePath::shown(...), $this->skipped),
            'copies' => $this->copies,
            'troubles' => $this->troubles,
            'stopped' => $this->stopped,
            'cut_short' => $this->cutShort,
            'whole' => $this->isHome(),
        ];
    }
}
