<?php

declare(strict_types=1);

namespace Tests\Core\Device;

use PHPUnit\Framework\TestCase;
use Tally\Device\AllowedFolders;
use Tally\Device\Fault\UnusablePath;
use Tests\Support\TemporaryFolder;

final class AllowedFoldersTest extends TestCase
{
    use TemporaryFolder;

    public function test_a_folder_below_a_root_is_admitted_by_its_real_path(): void
    {
        $root = $this->folder();
        mkdir($root.'/card');
        $allowed = new AllowedFolders([$root], [$root]);
        self::assertSame($root.'/card', $allowed->admit($root.'/card'));
        self::assertSame($root.'/card', $allowed->admit($root.'/card/../card/'));
        self::assertSame($root, $allowed->admit($root));
    }

    public function test_what_lies_elsewhere_is_refused_however_it_is_written(): void
    {
        $root = $this->folder();
        $elsewhere = $this->folder();
        mkdir($root.'/card');
        symlink($elsewhere, $root.'/link');
        mkdir($root.'x');
        $this->folders[] = $root.'x';
        $allowed = new AllowedFolders([$root]);
        $ways = [
            $elsewhere,
            '/etc',
            $root.'/../'.basename($elsewhere),
            $root.'/card/../../'.basename($elsewhere),
            $root.'/link',
            $root.'/link/.',
            $root.'x',
            '',
            'relative',
            "{$root}\0/card",
        ];
        foreach ($ways as $way) {
            try {
                $allowed->admit($way);
                self::fail("“{$way}” was admitted.");
            } catch (UnusablePath $fault) {
                self::assertStringContainsString('outside the folders', $fault->getMessage());
            }
        }
    }

    public function test_a_root_that_is_itself_a_link_is_followed(): void
    {
        $real = $this->folder();
        mkdir($real.'/card');
        $link = $this->folder().'/mnt';
        symlink($real, $link);
        self::assertSame($real.'/card', (new AllowedFolders([$link], [$link]))->admit($link.'/card'));
    }

    public function test_a_folder_without_a_card_mounted_on_it_is_refused_unless_the_settings_allow_it(): void
    {
        $root = $this->folder();
        mkdir($root.'/bay');
        $allowed = new AllowedFolders([$root]);
        foreach ([$allowed->admit(...), $allowed->hold(...)] as $way) {
            try {
                $way($root.'/bay');
                self::fail('The plain folder was taken for a card.');
            } catch (UnusablePath $fault) {
                self::assertStringContainsString("No card is mounted at “{$root}/bay”", $fault->getMessage());
                self::assertStringContainsString('TALLY_PLAIN_FOLDERS', $fault->getMessage());
            }
        }
        self::assertSame($root.'/bay', (new AllowedFolders([$root], [$root.'/bay']))->hold($root.'/bay')->path);
    }

    public function test_a_missing_folder_below_a_root_is_said_to_be_missing(): void
    {
        $root = $this->folder();
        $this->expectExceptionMessage('There is no folder');
        (new AllowedFolders([$root]))->admit($root.'/not-mounted');
    }

    public function test_whether_something_outside_exists_is_not_told(): void
    {
        $allowed = new AllowedFolders([$this->folder()]);
        $say = function (string $path) use ($allowed): string {
            try {
                return $allowed->admit($path);
            } catch (UnusablePath $fault) {
                return str_replace($path, '…', $fault->getMessage());
            }
        };
        self::assertSame($say('/etc'), $say('/no-such-folder-at-all'));
    }

    public function test_a_file_is_no_folder(): void
    {
        $root = $this->folder();
        touch($root.'/file');
        $this->expectExceptionMessage('is not a folder');
        (new AllowedFolders([$root]))->admit($root.'/file');
    }

    public function test_without_roots_nothing_is_allowed(): void
    {
        $this->expectExceptionMessage('none is allowed yet');
        (new AllowedFolders([]))->admit('/tmp');
    }
}
