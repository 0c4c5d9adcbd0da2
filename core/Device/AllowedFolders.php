<?php

declare(strict_types=1);

namespace Tally\Device;

use Tally\Device\Fault\UnusablePath;

/** The folders below which a station may write. Everything is compared after `..` and links are resolved. */
final readonly class AllowedFolders
{
    /** @param  list<string>  $roots */
    public function __construct(private array $roots) {}

    /** @return list<string> */
    public function roots(): array
    {
        return $this->roots;
    }

    /**
     * @return string the real path
     *
     * @throws UnusablePath when it does not exist, is no folder, or lies elsewhere
     */
    public function admit(string $given): string
    {
        $real = str_contains($given, "\0") ? false : realpath($given);
        foreach ($this->roots as $root) {
            $realRoot = realpath($root);
            if ($real !== false && $realRoot !== false && ($real === $realRoot || str_starts_with($real, rtrim($realRoot, '/').'/'))) {
                return is_dir($real) ? $real : throw UnusablePath::notAFolder($given);
            }
        }
        // Whether a folder outside exists is not this page's to tell.
        throw $real === false && $this->isBelow($given) ? UnusablePath::missing($given) : UnusablePath::outside($given, $this->roots);
    }

    private function isBelow(string $given): bool
    {
        foreach ($this->roots as $root) {
            if (str_starts_with($given, rtrim($root, '/').'/') && ! str_contains($given, '..') && ! str_contains($given, "\0")) {
                return true;
            }
        }

        return false;
    }
}
