<?php

declare(strict_types=1);

namespace App\Stations;

use App\Models\Stations\Station;

/**
 * One thing at a time: a lane is taken by a process of this machine and free when that ends, however it ends. Which process has
 * it stands in the file of its lock.
 */
final class Lane
{
    /** @var resource|null its lock, while this process or one that it has forked has it */
    private mixed $lock = null;

    /**
     * @param  string  $queue  whose orders go by it
     * @param  int  $number  among those of its queue, from 0
     */
    public function __construct(public readonly Station $station, public readonly string $queue, public readonly int $number) {}

    /** @return list<self> of all that this station does: one measures, some prove, some copy */
    public static function all(Station $station): array
    {
        $several = fn (string $queue, string $setting): array => array_map(
            fn (int $number): self => new self($station, $queue, $number),
            range(0, config()->integer($setting) - 1),
        );

        return [
            new self($station, $station->queue(), 0),
            ...$several($station->proofQueue(), 'tally.proofs_at_once'),
            ...$several($station->offloadQueue(), 'tally.copies_at_once'),
        ];
    }

    /** The one that goes round and looks. */
    public static function looking(Station $station): self
    {
        return new self($station, "{$station->queue()}-look", 0);
    }

    /** The one that hands out the orders of the others. */
    public static function leading(Station $station): self
    {
        return new self($station, "{$station->queue()}-lead", 0);
    }

    /** Whether it was free, and is this process’s now. */
    public function take(): bool
    {
        $this->lock = $this->locked();
        $this->sign();

        return $this->lock !== null;
    }

    /** After a fork, that it is this process which is in it. */
    public function sign(): void
    {
        if ($this->lock !== null) {
            ftruncate($this->lock, 0);
            rewind($this->lock);
            // Where the disk is full, the lock holds all the same.
            @fwrite($this->lock, (string) getmypid());
            @fflush($this->lock);
        }
    }

    /** This process has it no longer; one that was forked meanwhile keeps it. */
    public function let(): void
    {
        if ($this->lock !== null) {
            fclose($this->lock);
            $this->lock = null;
        }
    }

    public function isFree(): bool
    {
        return $this->locked() !== null;
    }

    /** @return int|null the process that is in it; null where there is none */
    public function process(): ?int
    {
        $pid = (int) @file_get_contents($this->file());

        return $pid > 0 && ! $this->isFree() ? $pid : null;
    }

    /** @return resource|null null where another process has it */
    private function locked(): mixed
    {
        // Not handed on to the programs that a run starts.
        $lock = fopen($this->file(), 'c+e');

        return $lock !== false && flock($lock, LOCK_EX | LOCK_NB) ? $lock : null;
    }

    /** The tests have a station of the same name, on books of their own. */
    private function file(): string
    {
        $books = $this->station->getConnection()->getDatabaseName();

        return storage_path("framework/{$books}-{$this->queue}-{$this->number}.lock");
    }
}
