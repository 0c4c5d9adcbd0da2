<?php

declare(strict_types=1);

namespace Tools\Trial;

/** A loop device of a trial: mounted as a card or a drive, or raw. */
final class Place
{
    public readonly string $loop;

    private bool $isBad = false;

    /** @param  string|null  $point  where it is mounted; null for a raw one */
    public function __construct(public readonly string $image, private readonly int $megabytes, public readonly ?string $point)
    {
        Shell::must("truncate -s {$megabytes}M {$image}");
        $this->loop = Shell::must("losetup -f --show {$image}");
        $this->format();
    }

    /** Emptied, with a file system that was never there before. */
    public function format(): void
    {
        if ($this->point !== null) {
            Shell::may("umount -l {$this->point}");
            Shell::must("mkfs.ext4 -q -F -E lazy_itable_init=0,lazy_journal_init=0 -m 0 {$this->loop}; mkdir -p {$this->point}");
            $this->mount();
        }
    }

    public function mount(): void
    {
        if ($this->point !== null && ! $this->isMounted()) {
            Shell::must("e2fsck -fp {$this->loop} >/dev/null 2>&1 || true; mount -t ext4 {$this->loop} {$this->point}");
        }
    }

    /** As when a card is pulled: at once, whoever has files open on it. */
    public function pull(): void
    {
        Shell::must("umount -l {$this->point}");
    }

    /** As the host does when a file system gives it errors. */
    public function turnReadOnly(): void
    {
        Shell::may("mount -o remount,abort {$this->point}");
        Shell::may("mount -o remount,ro {$this->point}");
    }

    /** From the middle on it answers with input/output errors, as beyond the end of a device. */
    public function turnBad(): void
    {
        $half = intdiv($this->megabytes, 2);
        Shell::must("truncate -s {$half}M {$this->image} && losetup -c {$this->loop}");
        $this->isBad = true;
    }

    /** @return bool whether it was bad: what lay on it is gone */
    public function makeGood(): bool
    {
        if (! $this->isBad) {
            return false;
        }
        Shell::must("truncate -s {$this->megabytes}M {$this->image} && losetup -c {$this->loop}");
        $this->isBad = false;
        $this->format();

        return true;
    }

    /** Mounted anew and writable, whatever was done to it. */
    public function restore(): void
    {
        if ($this->point !== null) {
            Shell::may("umount -l {$this->point}");
            $this->mount();
        }
    }

    /** Another program takes all there is. */
    public function fill(): void
    {
        Shell::may("dd if=/dev/zero of={$this->point}/taken bs=1M conv=fsync");
    }

    public function makeRoom(): void
    {
        @unlink("{$this->point}/taken");
    }

    public function isMounted(): bool
    {
        return $this->point !== null && str_contains((string) @file_get_contents('/proc/self/mountinfo'), " {$this->point} ");
    }

    public function remove(): void
    {
        if ($this->point !== null) {
            Shell::may("umount {$this->point} || umount -l {$this->point}");
        }
        Shell::may("losetup -d {$this->loop}; rm -f {$this->image}");
    }
}
