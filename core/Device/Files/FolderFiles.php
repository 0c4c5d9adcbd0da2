<?php

declare(strict_types=1);

namespace Tally\Device\Files;

use Tally\Device\Data;
use Tally\Device\Fault\CannotRead;
use Tally\Device\Fault\CannotSettle;
use Tally\Device\Fault\CannotWrite;
use Tally\Device\Fault\DeviceFault;
use Tally\Device\Fault\MediumGone;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\FileAdvice;
use Tally\Device\Literal;
use Tally\Device\Mount;
use Tally\Device\RunFolder;
use Tally\Device\WritableFolder;

/** Numbered files in a folder of the run’s own on a mounted card. It never touches a file that it did not make. */
final class FolderFiles implements FileStore
{
    /** @var array<int, true> */
    private array $written = [];

    private function __construct(private readonly RunFolder $folder, private readonly string $where, private readonly Mount $mount, private readonly FileAdvice $advice) {}

    /** @throws UnusablePath|CannotWrite */
    public static function open(string $path, FileAdvice $advice = new FileAdvice): self
    {
        $card = WritableFolder::of($path);
        RunFolder::clearLeftovers($card->path);

        return new self(RunFolder::create($card->path), $path, $card->mount, $advice);
    }

    public function put(int $number, Data $data): void
    {
        $this->written[$number] = true;
        $handle = @fopen($this->folder->file($number), 'wb');
        $bytes = $data->bytes();
        $written = $handle === false ? false : @fwrite($handle, $bytes);
        if ($handle === false || $written !== strlen($bytes)) {
            throw $this->fault(fn (string $why): DeviceFault => preg_match('/errno=(28|122)\b/', $why) === 1 || $written !== false
                ? CannotWrite::full($number * strlen($bytes), $this->where) : CannotWrite::at($number * strlen($bytes), $this->where, $why));
        }
        if (! @fsync($handle)) {
            throw $this->fault(fn (): DeviceFault => CannotSettle::on($this->where, 'flushing failed'));
        }
        fclose($handle);
    }

    public function get(int $number, int $length): Data
    {
        $bytes = @file_get_contents($this->folder->file($number));

        return $bytes !== false && strlen($bytes) === $length ? new Literal($bytes)
            : throw $this->fault(fn (): DeviceFault => CannotRead::at($number * $length, $length, $this->where, 'the card answered with an error or the file ended early'));
    }

    public function forget(): bool
    {
        foreach (array_keys($this->written) as $number) {
            $this->advice->forget($this->folder->file($number));
        }

        return ! $this->mount->isInMemory() && (! $this->mount->hasCacheBelow() || $this->advice->forgetDevice($this->mount->source));
    }

    public function clear(): void
    {
        $this->folder->remove();
    }

    /** @param  callable(string): DeviceFault  $otherwise */
    private function fault(callable $otherwise): DeviceFault
    {
        $why = error_get_last()['message'] ?? 'no byte was taken';

        return $this->folder->isThere() ? $otherwise($why) : MediumGone::from($this->where);
    }
}
