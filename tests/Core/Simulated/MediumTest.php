<?php

declare(strict_types=1);

namespace Tests\Core\Simulated;

use InvalidArgumentException;
use LogicException;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Label\Bus;
use Tally\Label\Form;
use Tally\Label\Label;
use Tally\Label\Mark;
use Tally\Pattern\Appraiser;
use Tally\Pattern\Literal;
use Tally\Pattern\Patch;
use Tally\Pattern\TestPattern;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Simulated\Behaviour;
use Tally\Simulated\Medium;
use Tally\Simulated\SimulatedChoice;
use Tally\Simulated\SimulatedClock;
use Tally\Simulated\SimulatedDevice;
use Tally\Simulated\WrittenRanges;

final class MediumTest extends TestCase
{
    public function test_a_line_describes_a_medium_and_back(): void
    {
        $medium = Medium::parse('wraps,size=32GB,true=8GB,write=20.1MB/s,read=84.1MB/s,cache=4GB,fast=60MB/s,patches=3,seed=26');
        self::assertSame(
            [Behaviour::Wraps, 32_000_000_000, 8_000_000_000],
            [$medium->behaviour, $medium->shown->count, $medium->true->count],
        );
        self::assertEquals($medium, Medium::parse($medium->line()));
    }

    public function test_only_the_behaviour_is_needed(): void
    {
        self::assertSame(32_000_000_000, Medium::parse('honest')->true->count);
        self::assertSame(8_000_000_000, Medium::parse('wraps')->true->count);
        self::assertSame(5, Medium::parse('patchy')->patches);
    }

    /** @return iterable<string, array{string, string}> */
    public static function nonsense(): iterable
    {
        yield 'unknown behaviour' => ['melts', 'does not begin with what the stand-in does'];
        yield 'empty' => ['', 'does not begin with'];
        yield 'unknown part' => ['honest,colour=red', '“colour=red” is not a part'];
        yield 'part without a value' => ['honest,size', '“size” is not a part'];
        yield 'no size' => ['honest,size=big', '“big” is not a size'];
        yield 'no speed' => ['honest,write=fast', '“fast” is not a speed'];
        yield 'truer than shown' => ['wraps,size=8GB,true=32GB', 'at most the size it shows'];
        yield 'no memory' => ['wraps,true=0B', 'above nothing'];
    }

    #[DataProvider('nonsense')]
    public function test_nonsense_is_refused_with_a_sentence(string $line, string $words): void
    {
        $this->expectException(InvalidArgumentException::class);
        $this->expectExceptionMessage($words);
        Medium::parse($line);
    }

    /** @return iterable<string, array{string}> */
    public static function small(): iterable
    {
        yield 'honest' => ['honest,size=5000192B'];
        yield 'wraps in step' => ['wraps,size=5242880B,true=2097152B'];
        yield 'wraps out of step' => ['wraps,size=5000192B,true=1300480B'];
        yield 'wraps at one sector more than a block' => ['wraps,size=5000192B,true=1049088B'];
        yield 'drops in a block' => ['drops,size=5000192B,true=1300480B'];
        yield 'patchy' => ['patchy,size=16777216B,patches=3,seed=8'];
    }

    /** The books of a made-up medium are a short cut; its bytes, made and checked one by one, must tell the same story. */
    #[DataProvider('small')]
    public function test_its_books_tell_what_its_bytes_tell(string $line): void
    {
        $device = new SimulatedDevice(Medium::parse($line), new SimulatedClock());
        $size = $device->size();
        $imprint = new TestPattern(77, $size);
        $appraiser = new Appraiser($imprint);
        for ($at = 0; $at < $size->count; $at += TestPattern::BLOCK) {
            $device->write($at, $imprint->stretch($at, TestPattern::BLOCK));
        }
        for ($at = 0; $at < $size->count; $at += TestPattern::BLOCK) {
            $data = $device->read($at, min(TestPattern::BLOCK, $size->count - $at));
            self::assertSame(
                self::story($appraiser->appraise($data, $at)),
                self::story($appraiser->appraise(new Literal($data->bytes()), $at)),
                "at {$at}",
            );
        }
    }

    /**
     * @param  list<Patch>  $patches
     * @return list<string> neighbours that tell the same joined
     */
    private static function story(array $patches): array
    {
        $story = [];
        $last = '';
        foreach ($patches as $patch) {
            $what = "{$patch->class->value} ".($patch->shift() ?? '');
            if ($what !== $last) {
                $story[] = "{$what} from {$patch->offset}";
            }
            $last = $what;
        }

        return $story;
    }

    public function test_a_stand_in_only_takes_imprints(): void
    {
        $this->expectException(LogicException::class);
        (new SimulatedDevice(Medium::parse('honest'), new SimulatedClock()))->write(0, new Literal('bytes'));
    }

    public function test_a_place_that_was_never_written_is_blank(): void
    {
        self::assertSame(
            str_repeat("\xFF", 512),
            (new SimulatedDevice(Medium::parse('honest'), new SimulatedClock()))->read(4096, 512)->bytes(),
        );
    }

    public function test_books_keep_what_was_written_last(): void
    {
        $imprint = new TestPattern(5, Bytes::of(1_000_000));
        $books = new WrittenRanges();
        $books->put(0, 4096, 0, $imprint);
        $books->put(1024, 1024, 500_224, $imprint);
        $books->put(1536, 4096, 600_064, $imprint);
        $bytes = implode('', array_map(fn ($piece): string => $piece->bytes(), $books->look(512, 6000)));
        $expected =
            $imprint->range(512, 512).$imprint->range(500_224, 512).$imprint->range(600_064, 4096).str_repeat("\xFF", 6000 - 5120);
        self::assertSame($expected, $bytes);
    }

    public function test_time_passes_only_when_it_works(): void
    {
        $clock = new SimulatedClock();
        $device = new SimulatedDevice(Medium::parse('honest,size=1GB,write=50MB/s'), $clock);
        self::assertSame(0.0, $clock->now());
        $device->write(0, (new TestPattern(1, $device->size()))->stretch(0, 500 * TestPattern::BLOCK));
        self::assertEqualsWithDelta((500 * 1.048576) / 50, $clock->now(), 0.3);
    }

    public function test_the_shelf_fits_any_label(): void
    {
        $labels = [
            new Label(
                Form::Sd,
                Bytes::gigabytes(128),
                bus: Bus::UhsII,
                marks: [Mark::V60],
                read: Rate::megabytesPerSecond(250),
                write: Rate::megabytesPerSecond(130),
            ),
            new Label(Form::MicroSd, Bytes::gigabytes(32), marks: [Mark::C10]),
            new Label(Form::CFexpressB, Bytes::gigabytes(325)),
            new Label(Form::Cf, Bytes::of(700)),
        ];
        foreach ($labels as $label) {
            foreach (SimulatedChoice::cases() as $shelf) {
                $medium = $shelf->medium($label, 3);
                self::assertSame($label->capacity->count, $medium->shown->count);
                self::assertEquals($medium->true, Medium::parse($medium->line())->true);
                self::assertNotSame('', $shelf->words());
            }
        }
        $label = $labels[0];
        self::assertSame(32_000_000_000, SimulatedChoice::Wraps->medium($label, 1)->true->count);
        self::assertSame(16_000_000_000, SimulatedChoice::Drops->medium($label, 1)->true->count);
        self::assertLessThan(60.0, SimulatedChoice::Slow->medium($label, 1)->write->megabytes());
        self::assertGreaterThan(117.0, SimulatedChoice::Honest->medium($label, 1)->write->megabytes());
    }
}
