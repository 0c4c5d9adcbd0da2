<?php

declare(strict_types=1);

namespace Tests\Core\Device;

use PHPUnit\Framework\TestCase;
use Tally\Device\Fault\CannotCopy;
use Tally\Device\Fault\CannotErase;
use Tally\Device\Fault\CannotOpen;
use Tally\Device\Fault\CannotResume;
use Tally\Device\Fault\UnusablePath;

/** What cannot be done says where and why as data, and in a sentence for people. */
final class UnusablePathTest extends TestCase
{
    public function test_each_failed_act_carries_its_path_and_its_reason(): void
    {
        $faults = [
            [CannotOpen::missing('/media/a'), '/media/a', 'missing'],
            [CannotOpen::cannotOpen('/dev/a', 30), '/dev/a', 'cannotOpen'],
            [CannotErase::mustNotErase('/dev/a', 'it is mounted.'), '/dev/a', 'mustNotErase'],
            [CannotResume::otherCard('it has 2 GB'), '', 'otherCard'],
            [CannotCopy::cannotBeNamed('a:b', '/media/d', 'it has a colon'), '/media/d', 'cannotBeNamed'],
        ];
        foreach ($faults as [$fault, $path, $reason]) {
            self::assertInstanceOf(UnusablePath::class, $fault);
            self::assertSame([$path, $reason], [$fault->path, $fault->reason]);
            self::assertStringContainsString($path, $fault->getMessage());
        }
        self::assertStringContainsString('write-protected', CannotOpen::cannotOpen('/dev/a', 30)->getMessage());
    }
}
