<?php

declare(strict_types=1);

namespace Tests\Core\Device;

use PHPUnit\Framework\TestCase;
use Tally\Device\Identity;
use Tally\Device\IdentityKind;
use Tally\Device\Raw\Kernel;
use Tally\Value\Values;
use Tests\Support\TemporaryFolder;

/**
 * What a medium is known by, on a host that is made up. Source of the places: Documentation/ABI/stable/sysfs-block (diskseq),
 * Documentation/driver-api/mmc/mmc-dev-attrs (cid).
 */
final class IdentityTest extends TestCase
{
    use TemporaryFolder;

    private function kernel(): Kernel
    {
        $root = $this->folder();
        foreach (['mmcblk0' => '179:0', 'sdb' => '8:16', 'sdb/sdb1' => '8:17'] as $disk => $numbers) {
            mkdir("{$root}/sys/block/{$disk}/device", recursive: true);
            @mkdir("{$root}/sys/dev/block", recursive: true);
            symlink("{$root}/sys/block/{$disk}", "{$root}/sys/dev/block/{$numbers}");
            file_put_contents("{$root}/sys/block/{$disk}/size", '1024');
        }
        file_put_contents("{$root}/sys/block/sdb/sdb1/partition", '1');
        file_put_contents("{$root}/sys/block/mmcblk0/device/cid", "1b534d3030303030\n");
        file_put_contents("{$root}/sys/block/sdb/device/serial", 'of the reader');
        file_put_contents("{$root}/sys/block/sdb/diskseq", "41\n");

        return new Kernel($root);
    }

    public function test_a_card_in_a_slot_of_the_host_tells_its_own_number_and_one_behind_a_reader_does_not(): void
    {
        $kernel = $this->kernel();
        self::assertSame('1b534d3030303030', $kernel->serialOfMedium('179:0'));
        self::assertNull($kernel->serialOfMedium('8:16'), 'the number of a reader tells nothing of the card');
        self::assertSame([41, 41, null], [$kernel->sequence('8:16'), $kernel->sequence('8:17'), $kernel->sequence('179:0')]);
        self::assertSame(['sdb', 524_288, true], [$kernel->disk('8:17'), $kernel->size('8:16'), $kernel->isPresent('8:16')]);
        self::assertFalse($kernel->isPresent('8:32'));
    }

    public function test_two_cards_of_one_model_in_one_slot_are_told_apart(): void
    {
        $one = [
            'kind' => IdentityKind::Device->value,
            'real' => '/dev/sdb',
            'numbers' => '8:16',
            'bytes' => 64_000_000_000,
            'sequence' => 41,
        ];
        $identity = fn (array $with): Identity => Values::read(Identity::class, [...$one, ...$with]);
        $before = $identity([]);
        self::assertTrue($before->isSameAs($identity([])));
        self::assertTrue($before->isSameAs(Values::read(Identity::class, (array) Values::plain($before))));
        foreach (
            [
                'the card was taken out, or another put in, since then' => ['sequence' => 42],
                'it had 64 GB, and has 32 GB now' => ['bytes' => 32_000_000_000],
                'it led to /dev/sdb (8:16), and leads to /dev/sdb (8:32) now' => ['numbers' => '8:32'],
                'its serial number was none, and is 7F now' => ['serial' => '7F'],
                'it was a device, and is an image file now' => ['kind' => IdentityKind::Image->value],
            ] as $says => $with
        ) {
            self::assertSame($says, $before->difference($identity($with)));
        }
    }
}
