<?php

declare(strict_types=1);

namespace Tally\Transfer\Filed;

use Tally\Device\Clock;
use Tally\Device\Fault\CannotCopy;
use Tally\Device\Fault\CannotOpen;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\Host\Beneath;
use Tally\Device\Host\FileFacts;
use Tally\Device\Host\HostError;
use Tally\Device\Host\RealPath;
use Tally\Probe\Observing\Observer;
use Tally\Probe\Observing\Pacemaker;
use Tally\Probe\Observing\Unobserved;
use Tally\Transfer\Stage;

/**
 * What a person gives it: the folder of a card, of a shoot, a whole drive, or one list. Everything below that has a list is held
 * against it.
 */
final class TreeCheck
{
    /** @var array<string, FolderCheck> by the path of its folder */
    private array $checks = [];

    /** @var list<string> */
    private array $withoutList = [];

    private function __construct(private readonly string $given) {}

    /** @throws UnusablePath where it is not there, or no list is */
    public static function of(string $given): self
    {
        $real = RealPath::of($given) ?? throw CannotOpen::missing($given);
        $tree = new self($given);
        if (! is_dir($real)) {
            $folder = Listing::folderOf(basename($real)) ?? throw CannotCopy::noLists($given, 'it is no list, and no folder');
            $check = FolderCheck::at(dirname($real)."/{$folder}", basename($real));
            $tree->checks = $check === null ? [] : [$real => $check];

            return $tree;
        }
        $itself = FolderCheck::at($real);
        if ($itself !== null) {
            $tree->checks = [$real => $itself];

            return $tree;
        }
        [$hasLists] = $tree->walk($real, self::open($given, $real), '');

        return $hasLists ? $tree : throw CannotCopy::noLists($given, 'none is there, nor in any folder below');
    }

    /** @throws UnusablePath */
    private static function open(string $given, string $real): Beneath
    {
        try {
            return Beneath::folder($real);
        } catch (HostError) {
            throw CannotOpen::unreadable($given);
        }
    }

    /**
     * @return array{bool, bool} whether there are lists in it, and whether there are other files
     *
     * @throws UnusablePath
     */
    private function walk(string $real, Beneath $root, string $folder): array
    {
        $path = rtrim("{$real}/{$folder}", '/');
        try {
            $here = $root->within($folder);
            $names = $here->names();
        } catch (HostError) {
            $this->withoutList[] = "{$path} (it cannot be read)";

            return [false, false];
        }
        [$hasLists, $hasFiles, $bare] = [$this->listed($path, $here, $names), false, []];
        foreach ($names as $name) {
            $facts = self::facts($here, $name);
            if ($facts?->isFolder() === true && ! str_starts_with($name, Stage::PREFIX) && ! $this->isChecked("{$path}/{$name}")) {
                [$lists, $files] = $this->walk($real, $root, ltrim("{$folder}/{$name}", '/'));
                $hasLists = $hasLists || $lists;
                if ($files && ! $lists) {
                    $bare[] = "{$path}/{$name}";
                }
            } elseif ($facts?->isFile() === true && Listing::folderOf($name) === null) {
                $hasFiles = true;
            }
            $hasLists = $hasLists || isset($this->checks["{$path}/{$name}"]);
        }
        // What has nothing but such folders is named once, as a whole, by the one above it.
        if (! $hasLists) {
            return [false, $hasFiles || $bare !== []];
        }
        array_push($this->withoutList, ...$bare);
        if ($hasFiles) {
            $this->withoutList[] = "{$path} (the files that lie in it loose)";
        }

        return [true, false];
    }

    /**
     * @param  list<string>  $names  of all that is in it
     * @return bool whether folders in it have lists
     *
     * @throws UnusablePath
     */
    private function listed(string $path, Beneath $here, array $names): bool
    {
        $folders = [];
        foreach ($names as $name) {
            $folder = str_starts_with($name, Stage::PREFIX) ? Stage::folderOf($here, $name) : Listing::folderOf($name);
            if ($folder !== null) {
                $folders[$folder] = true;
            }
        }
        foreach (array_keys($folders) as $folder) {
            $check = FolderCheck::at("{$path}/{$folder}");
            if ($check !== null) {
                $this->checks["{$path}/{$folder}"] = $check;
            }
        }

        return $folders !== [];
    }

    /**
     * By its lists; or by the journal of an offload that was left, which lies further up.
     *
     * @throws UnusablePath
     */
    private function isChecked(string $path): bool
    {
        if (! isset($this->checks[$path]) && Listing::left($path) !== null) {
            $check = FolderCheck::at($path);
            $this->checks += $check === null ? [] : [$path => $check];
        }

        return isset($this->checks[$path]);
    }

    private static function facts(Beneath $folder, string $name): ?FileFacts
    {
        try {
            return FileFacts::in($folder->open->fd, $name);
        } catch (HostError) {
            return null;
        }
    }

    /** @return int what is read */
    public function bytes(): int
    {
        return array_sum(array_map(fn (FolderCheck $check): int => $check->bytes(), $this->checks));
    }

    public function run(Clock $clock, Observer $observer = new Unobserved()): TreeFinding
    {
        $beat = new Pacemaker($clock, $observer, $this->bytes());
        $found = [];
        foreach ($this->checks as $check) {
            $found[] = $finding = $check->run($beat);
            if ($finding->stopped) {
                break;
            }
        }

        return new TreeFinding($this->given, $found, $this->withoutList);
    }
}
