<?php

declare(strict_types=1);

namespace Tally\Device\Raw;

use Tally\Device\Fault\CannotErase;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\Host\RealPath;
use Tally\Quantity\Bytes;

/**
 * Which media may be erased. Every rule is asked of the device that is open, not of its name, so that no link, no `..` and
 * no device that was swapped in between gets around one.
 */
final readonly class Guard
{
    /** A device this much larger or smaller than the label's decimal figure is something other than the card in hand. */
    public const LEAST = 0.93;

    public const MOST = 1.07;

    /** Nothing smaller is a medium. */
    private const LEAST_IMAGE = 1_048_576;

    /** Where a host keeps its own files. */
    private const NOT_IMAGES = [
        '/bin',
        '/boot',
        '/dev',
        '/etc',
        '/lib',
        '/lib32',
        '/lib64',
        '/proc',
        '/run/systemd',
        '/sbin',
        '/sys',
        '/usr',
        '/var/lib',
        '/var/cache',
        '/var/log',
        '/var/mail',
        '/var/spool',
    ];

    /**
     * @param  list<string>  $removable  the station's list of removable media: paths, or patterns such as /dev/disk/by-id/usb-*
     * @param  Bytes|null  $label  what the card in hand says
     * @param  string|null  $why  why a device of another size than the label is to be erased all the same
     * @param  list<string>|null  $images  folders that images must lie below; null for anywhere but the host's own places
     */
    public function __construct(
        private array $removable,
        private ?Bytes $label = null,
        private ?string $why = null,
        private ?array $images = null,
        private Kernel $kernel = new Kernel(),
    ) {}

    /**
     * What can be told before anything is opened.
     *
     * @param  string  $given  as it was typed
     * @param  Target  $there  what it leads to, with `..` and links resolved
     *
     * @throws UnusablePath
     */
    public function admitPath(string $given, Target $there): void
    {
        match (true) {
            $there->isBlock => $this->isListed($given, $there->path) ||
                throw CannotErase::mustNotErase(
                    $given,
                    'it is not on this station’s list of removable media ('.
                        ($this->removable === [] ? 'which is empty' : implode(', ', $this->removable)).
                        '). Whoever looks after the station adds it to TALLY_REMOVABLE in .env.',
                ),
            $there->isRegular => $this->admitPlace($given, $there->path),
            $there->isFolder => throw CannotErase::mustNotErase(
                $given,
                'it is a folder. Leave raw mode to prove a card in its mounted folder.',
            ),
            default => throw CannotErase::mustNotErase($given, 'it is neither a block device nor an image file.'),
        };
    }

    /** @throws UnusablePath */
    public function admit(string $given, Target $target, Bytes $size): void
    {
        $why =
            match (true) {
                $target->isBlock => $this->againstDevice($target),
                $target->isRegular => $this->againstImage($target, $size),
                default => 'it is neither a block device nor an image file.',
            } ?? $this->againstSize($size);
        if ($why !== null) {
            throw CannotErase::mustNotErase($given, $why);
        }
    }

    private function isListed(string $given, string $real): bool
    {
        foreach ($this->removable as $entry) {
            $resolved = RealPath::of($entry);
            // A pattern is held against the name as given, which may be a link made for this very card, and where it leads.
            if (
                $resolved === $real ||
                fnmatch($entry, $real, FNM_PATHNAME) ||
                (! str_contains($given, '..') && fnmatch($entry, $given, FNM_PATHNAME))
            ) {
                return true;
            }
        }

        return false;
    }

    private function admitPlace(string $given, string $real): void
    {
        foreach (self::NOT_IMAGES as $place) {
            if (str_starts_with($real, "{$place}/") && ! str_starts_with($real, '/dev/shm/')) {
                throw CannotErase::mustNotErase($given, "it lies in {$place}, where the host keeps its own files.");
            }
        }
        foreach ($this->images ?? [dirname($real)] as $folder) {
            $resolved = RealPath::of($folder);
            if ($resolved !== null && str_starts_with($real, rtrim($resolved, '/').'/')) {
                return;
            }
        }
        throw CannotErase::mustNotErase($given, 'images lie below '.implode(', ', $this->images ?? []).' on this station.');
    }

    private function againstDevice(Target $target): ?string
    {
        $numbers = $target->numbers();
        $use = $this->kernel->use($numbers);

        return match (true) {
            $use !== null && $this->kernel->isSystem($use) => "this host runs from it ({$use}). Look again which device the card is.",
            $use !== null => "it, or a part of it, is mounted at {$use}. Unmount it first, if it is the right one.",
            $this->kernel->isPartition($numbers) => 'it is a part of a medium. Give the whole one, since capacity is a matter of '.
                'the whole.',
            default => null,
        };
    }

    private function againstImage(Target $target, Bytes $size): ?string
    {
        $loop = $this->kernel->loopOf($target->path);
        $by = $this->kernel->openedBy($target);

        return match (true) {
            $size->count < self::LEAST_IMAGE => "it has {$size->decimal()}, and no medium is smaller than 1 MiB.",
            $target->names > 1 => "it has {$target->names} names (hard links): what is behind another name would be lost too.",
            $loop !== null => "it is attached as {$loop}. Detach it first.",
            $by !== null => "{$by} has it open. End that first.",
            default => null,
        };
    }

    private function againstSize(Bytes $size): ?string
    {
        if ($size->isZero()) {
            return 'it has no size: there is no card in the reader.';
        }
        $share = $this->label === null ? 1.0 : $size->shareOf($this->label);
        if (($share >= self::LEAST && $share <= self::MOST) || trim($this->why ?? '') !== '') {
            return null;
        }
        $than = $share > 1 ? 'more' : 'less';

        return "it has {$size->decimal()}, {$than} than the {$this->label?->decimal()} on the card’s label: perhaps it is another ".
            'medium. If it is the right one, say why.';
    }
}
