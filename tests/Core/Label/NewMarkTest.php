<?php

declare(strict_types=1);

namespace Tests\Core\Label;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** docs/where.md: a new speed mark is one case, and all else takes it from there. */
final class NewMarkTest extends TestCase
{
    private const CASES = "case V90 = 'V90';";

    /** @return mixed what the code says, with one more mark in the enum */
    private static function said(string $mark, string $code): mixed
    {
        $root = dirname(__DIR__, 3);
        $enum = (string) file_get_contents("{$root}/core/Label/Mark.php");
        self::assertStringContainsString(self::CASES, $enum);
        $more = str_replace(['<?php', self::CASES], ['', self::CASES." case {$mark} = '{$mark}';"], $enum);
        $names = 'use Tally\Label\{Bus, Mark}; use Tally\Label\Line\LabelReader; use Tally\Shoot\{LeastMark, Mode, ModeKind}; '.
            'use Tally\Buying\Tier; use Tally\Quantity\Rate;';
        // The enum with one case more is known before the one on the disk would be looked for.
        $script = str_replace('declare(strict_types=1);', '', $more)." namespace Tried { require '{$root}/vendor/autoload.php'; {$names} ".
            "echo json_encode({$code}); }";
        $script = (string) preg_replace(
            '/namespace Tally\\\\Label;(.*?) namespace Tried/s',
            'namespace Tally\\Label { $1 } namespace Tried',
            $script,
        );
        $process = new Process([PHP_BINARY], input: "<?php {$script}");
        self::assertSame(0, $process->run(), $process->getOutput().$process->getErrorOutput());

        return json_decode($process->getOutput(), true);
    }

    public function test_a_mark_v120_is_read_promised_bought_and_asked_for(): void
    {
        $read = self::said('V120', "LabelReader::read('256GB SDXC II U3V120 300MB/s')->label()->topMark()->value");
        self::assertSame('V120', $read);
        self::assertEquals(120, self::said('V120', 'Mark::V120->floor()->megabytes()'));
        $mode = "new Mode('8K', ModeKind::LongGop, Rate::megabytesPerSecond(110))";
        self::assertSame('V120', self::said('V120', "LeastMark::of({$mode}, [Bus::UhsII])->value"));
        // Over one row of contacts it promises nothing.
        self::assertNull(self::said('V120', "LeastMark::of({$mode}, [Bus::UhsI])?->value"));
        self::assertContains(120, (array) self::said('V120', 'array_map(fn ($tier) => $tier->floor, Tier::all())'));
    }
}
