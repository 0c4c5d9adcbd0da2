<?php

declare(strict_types=1);

namespace Tally\Device;

use Tally\Device\Fault\CannotOpen;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\Host\RealPath;

/**
 * The folders below which a station may write, and which of them may be plain folders. Everything else must be a medium of its
 * own: a bay whose card is not mounted is a folder like any other, and a proof in it would fill the host's own disk.
 *
 * Everything is compared after `..` and links are resolved.
 */
final readonly class AllowedFolders
{
    /**
     * @param  list<string>|null  $roots  null for anywhere, as at the terminal
     * @param  list<string>  $plain  folders below which no medium need be mounted
     */
    public function __construct(private ?array $roots, private array $plain = []) {}

    /** @return list<string> */
    public function roots(): array
    {
        return $this->roots ?? [];
    }

    /**
     * @return string the real path
     *
     * @throws UnusablePath when it does not exist, is no folder, lies elsewhere, or has no medium mounted on it
     */
    public function admit(string $given): string
    {
        $real = $this->known($given);
        if (! is_dir($real)) {
            throw CannotOpen::notAFolder($given);
        }
        $this->mustBeAMedium($given, $real, Mount::of($real));

        return $real;
    }

    /**
     * The folder of a card, open and held.
     *
     * @throws UnusablePath as admit() does, or when it cannot be written to
     */
    public function hold(string $given): HeldFolder
    {
        $this->known($given);
        $held = HeldFolder::at($given);
        // Asked once more of what is open, and not of its path.
        if (! $this->isAllowed($held->path)) {
            throw CannotOpen::outside($given, $this->roots());
        }
        $this->mustBeAMedium($given, $held->path, $held->mount);

        return $held;
    }

    /**
     * A folder somewhere on a medium, to be copied from or into.
     *
     * @return string the real path
     *
     * @throws UnusablePath when it lies on the host's own disk where that was not allowed
     */
    public function admitWithin(string $given): string
    {
        $real = $this->known($given);
        if (! is_dir($real)) {
            throw CannotOpen::notAFolder($given);
        }
        if (Mount::of($real)->isHostsOwn() && ! $this->isPlain($real)) {
            throw CannotOpen::onHostsDisk($given);
        }

        return $real;
    }

    /**
     * Of a place where nothing need be yet.
     *
     * @throws UnusablePath when it lies elsewhere
     */
    public function mustBeBelow(string $given): void
    {
        $real = RealPath::of($given);
        if ($real === null ? ! ($this->roots === null || $this->isBelow($given)) : ! $this->isAllowed($real)) {
            throw CannotOpen::outside($given, $this->roots());
        }
    }

    /** @throws UnusablePath */
    private function known(string $given): string
    {
        $real = RealPath::of($given);
        if ($real !== null && $this->isAllowed($real)) {
            return $real;
        }
        // Whether a folder outside exists is not this page's to tell.
        throw $real === null && ($this->roots === null || $this->isBelow($given))
            ? CannotOpen::missing($given)
            : CannotOpen::outside($given, $this->roots());
    }

    /** @throws UnusablePath */
    private function mustBeAMedium(string $given, string $real, Mount $mount): void
    {
        if (! $mount->beginsAt($real) && ! $this->isPlain($real)) {
            throw $mount->isHostsOwn() ? CannotOpen::notMounted($given) : CannotOpen::partOfMedium($given, $mount->point);
        }
    }

    private function isAllowed(string $real): bool
    {
        return $this->roots === null || self::liesBelow($real, $this->roots);
    }

    private function isPlain(string $real): bool
    {
        return self::liesBelow($real, $this->plain);
    }

    /** @param  list<string>  $roots */
    private static function liesBelow(string $real, array $roots): bool
    {
        foreach ($roots as $root) {
            $realRoot = RealPath::of($root);
            if ($realRoot !== null && ($real === $realRoot || str_starts_with($real, rtrim($realRoot, '/').'/'))) {
                return true;
            }
        }

        return false;
    }

    private function isBelow(string $given): bool
    {
        foreach ($this->roots() as $root) {
            if (str_starts_with($given, rtrim($root, '/').'/') && ! str_contains($given, '..') && ! str_contains($given, "\0")) {
                return true;
            }
        }

        return false;
    }
}
