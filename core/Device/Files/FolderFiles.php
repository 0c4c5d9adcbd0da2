<?php

declare(strict_types=1);

namespace Tally\Device\Files;

use Tally\Device\Fault\CannotWrite;
use Tally\Device\Fault\HostErrorMapper;
use Tally\Device\Fault\HostRefused;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\HeldFolder;
use Tally\Device\Host\Calls;
use Tally\Device\Host\HostError;
use Tally\Device\Host\OpenFile;
use Tally\Device\HostCache;
use Tally\Device\RunFolder;
use Tally\Pattern\Data;
use Tally\Pattern\Literal;

/** Numbered files in a folder of the run’s own on a mounted card. It never touches a file that it did not make. */
final class FolderFiles implements FileStore
{
    /** @var array<int, true> */
    private array $written = [];

    private function __construct(private readonly HeldFolder $card, private readonly RunFolder $folder) {}

    /**
     * @param  list<string>  $kept  folders of runs that are to be continued
     *
     * @throws UnusablePath|CannotWrite
     */
    public static function open(HeldFolder $card, array $kept = []): self
    {
        RunFolder::clearLeftovers($card, $kept);

        return new self($card, RunFolder::create($card));
    }

    public function put(int $number, Data $data): void
    {
        $this->written[$number] = true;
        $bytes = $data->bytes();
        $at = $number * strlen($bytes);
        try {
            $file = OpenFile::at($this->folder->file($number), Calls::WRITE | Calls::CREATE | Calls::TRUNCATE);
            $file->write(0, $bytes);
        } catch (HostError $error) {
            throw HostErrorMapper::writing($error, $at + $error->moved, $this->card->given, $this->folder->isThere());
        }
        try {
            $file->sync();
        } catch (HostError $error) {
            throw HostErrorMapper::settling($error, $at, $this->card->given, $this->folder->isThere());
        }
        $file->close();
    }

    public function get(int $number, int $length): Data
    {
        try {
            $file = OpenFile::at($this->folder->file($number), Calls::READ);
            $bytes = $file->read(0, $length);
            $file->close();
        } catch (HostError $error) {
            throw HostErrorMapper::reading($error, $number * $length, $length, $this->card->given, isThere: $this->folder->isThere());
        }

        return strlen($bytes) === $length ? new Literal($bytes) : throw HostRefused::changed($this->card->given);
    }

    public function forget(): bool
    {
        foreach (array_keys($this->written) as $number) {
            HostCache::forget($this->folder->file($number));
        }

        return $this->card->forgetBelow();
    }

    public function clear(): void
    {
        $this->folder->remove();
        $this->card->letGo();
    }
}
