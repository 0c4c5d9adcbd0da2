<?php

declare(strict_types=1);

namespace Tests\Core\Device\Turns;

use PHPUnit\Framework\TestCase;
use Tally\Device\Host\HostError;
use Tally\Device\Host\Processors;
use Tally\Device\Turns\Turns;
use Tally\Pattern\Mosaic;
use Tally\Pattern\TestPattern;
use Tally\Quantity\Bytes;
use Tests\Support\TemporaryFolder;

/** Two processes write and read in turn, and nobody can tell it from what lies on the medium. */
final class TurnsTest extends TestCase
{
    use TemporaryFolder {
        tearDown as private removeFolders;
    }

    private const STRETCH = TestPattern::BLOCK;

    private const COUNT = 40;

    /** Longer than any process takes to begin. */
    private const TRIES = 3000;

    private Turns $turns;

    private TestPattern $imprint;

    protected function setUp(): void
    {
        if (Processors::allowed()->halves() === null) {
            self::markTestSkipped('With one processor there is no process beside.');
        }
        $this->turns = Turns::over(1 << 30);
        $this->imprint = new TestPattern(7, Bytes::of(self::COUNT * self::STRETCH));
    }

    protected function tearDown(): void
    {
        $this->turns->end();
        $this->removeFolders();
    }

    public function test_what_two_have_written_in_turn_is_the_pattern(): void
    {
        $file = $this->shared();
        $this->writeAll($file);
        self::assertSame($this->imprint->range(0, self::COUNT * self::STRETCH), file_get_contents($file->path));
        self::assertLessThanOrEqual(1 + self::COUNT / 2, $file->written, 'the other one took its turns');
    }

    public function test_what_two_have_read_in_turn_is_what_lies_there(): void
    {
        $file = $this->shared();
        $this->writeAll($file);
        // Two that are neighbours: one is read here and the other one beside.
        foreach ([20, 21] as $wrong) {
            self::spoil($file->path, $wrong * self::STRETCH + 100);
        }
        $kinds = [];
        for ($i = 0; $i < self::COUNT; $i++) {
            $data = $this->turns->read($file, 0, $i * self::STRETCH, self::STRETCH);
            $kinds[$data::class] = ($kinds[$data::class] ?? 0) + 1;
            $lies = (string) file_get_contents($file->path, false, null, $i * self::STRETCH, self::STRETCH);
            self::assertSame($lies, $data->bytes(), "stretch {$i}");
            self::assertSame($i !== 20 && $i !== 21, $data->bytes() === $this->imprint->range($i * self::STRETCH, self::STRETCH));
        }
        self::assertGreaterThan(self::COUNT / 4, $kinds[Mosaic::class] ?? 0, 'the other one took its turns, and found that they hold');
    }

    public function test_where_a_file_ends_less_comes_back(): void
    {
        $file = $this->shared();
        $this->writeAll($file);
        self::assertSame(self::STRETCH, $this->turns->read($file, 0, (self::COUNT - 2) * self::STRETCH, self::STRETCH)->length());
        self::assertSame(self::STRETCH, $this->turns->read($file, 0, (self::COUNT - 1) * self::STRETCH, self::STRETCH)->length());
        self::assertSame(0, $this->turns->read($file, 0, self::COUNT * self::STRETCH, self::STRETCH)->length());
        self::assertSame(0, $this->turns->read($file, 0, (self::COUNT + 1) * self::STRETCH, self::STRETCH)->length());
    }

    public function test_a_file_begins_anywhere_on_the_medium(): void
    {
        $this->imprint = new TestPattern(7, Bytes::of(3 * self::COUNT * self::STRETCH));
        $first = $this->shared();
        $second = new CountedFile($this->folder().'/second');
        $start = 30 * self::STRETCH;
        for ($i = 0; $i < 2 * self::COUNT; $i++) {
            $at = $i * self::STRETCH;
            [$file, $begins] = $i < 30 ? [$first, 0] : [$second, $start];
            $this->turns->write($file, $begins, $at - $begins, $this->imprint->stretch($at, self::STRETCH));
        }
        self::assertSame($this->imprint->range(0, $start), file_get_contents($first->path));
        self::assertSame($this->imprint->range($start, (2 * self::COUNT - 30) * self::STRETCH), file_get_contents($second->path));
        $this->turns->drop();
        self::spoil($second->path, 5 * self::STRETCH);
        for ($i = 0; $i < 2 * self::COUNT - 30; $i++) {
            $data = $this->turns->read($second, $start, $i * self::STRETCH, self::STRETCH);
            $holds = $data->bytes() === $this->imprint->range($start + $i * self::STRETCH, self::STRETCH);
            self::assertSame($i !== 5, $holds, "stretch {$i}");
        }
    }

    public function test_an_error_is_told_of_the_very_stretch_that_it_befell(): void
    {
        $this->shared();
        // Here all is well, and what the other one has open takes nothing.
        $file = new CountedFile($this->folder().'/half', '/dev/full');
        $failed = [];
        for ($i = 0; $i < self::COUNT; $i++) {
            $before = $file->written;
            try {
                $this->turns->write($file, 0, $i * self::STRETCH, $this->imprint->stretch($i * self::STRETCH, self::STRETCH));
            } catch (HostError $error) {
                self::assertTrue($error->isFull());
                self::assertSame($before, $file->written);
                $failed[] = $i;
            }
        }
        self::assertGreaterThan(self::COUNT / 4, count($failed));
        $holds = (string) file_get_contents($file->path);
        for ($i = 0; $i < self::COUNT - 1; $i++) {
            $lies = substr($holds, $i * self::STRETCH, self::STRETCH) === $this->imprint->range($i * self::STRETCH, self::STRETCH);
            self::assertSame(! in_array($i, $failed, true), $lies, "stretch {$i}");
        }
    }

    public function test_without_the_other_one_it_goes_on_alone(): void
    {
        $file = $this->shared();
        for ($i = 0; $i < self::COUNT; $i++) {
            if ($i === 21) {
                array_map(fn (int $pid): bool => posix_kill($pid, SIGKILL), self::children());
            }
            $this->turns->write($file, 0, $i * self::STRETCH, $this->imprint->stretch($i * self::STRETCH, self::STRETCH));
        }
        self::assertSame($this->imprint->range(0, self::COUNT * self::STRETCH), file_get_contents($file->path));
        self::assertSame([], self::children());
        $this->assertAllRead($file);
    }

    public function test_killed_while_it_reads_ahead_nothing_is_missing(): void
    {
        $file = $this->shared();
        $this->writeAll($file);
        for ($i = 0; $i < 11; $i++) {
            $this->turns->read($file, 0, $i * self::STRETCH, self::STRETCH);
        }
        array_map(fn (int $pid): bool => posix_kill($pid, SIGKILL), self::children());
        $this->assertAllRead($file);
    }

    public function test_what_was_read_ahead_is_dropped_when_the_host_forgets(): void
    {
        $file = $this->shared();
        $this->writeAll($file);
        for ($i = 0; $i < 11; $i++) {
            $this->turns->read($file, 0, $i * self::STRETCH, self::STRETCH);
        }
        self::spoil($file->path, 11 * self::STRETCH);
        self::spoil($file->path, 12 * self::STRETCH);
        $this->turns->drop();
        foreach ([11, 12] as $i) {
            $data = $this->turns->read($file, 0, $i * self::STRETCH, self::STRETCH);
            self::assertNotSame($this->imprint->range($i * self::STRETCH, self::STRETCH), $data->bytes(), "stretch {$i}");
        }
    }

    public function test_a_small_medium_needs_nobody_beside(): void
    {
        $this->turns = Turns::over(1 << 20);
        $file = new CountedFile($this->folder().'/small');
        $this->writeAll($file);
        $this->assertAllRead($file);
        self::assertSame([self::COUNT, self::COUNT], [$file->written, $file->read]);
        self::assertSame([], self::children());
    }

    public function test_the_processors_are_shared_out_and_given_back(): void
    {
        $before = Processors::allowed();
        $file = $this->shared();
        self::assertEquals($before->halves()[0] ?? null, Processors::allowed());
        $this->turns->end();
        self::assertEquals($before, Processors::allowed());
        self::assertFileExists($file->path);
    }

    /** A file that the other one has open too and writes in turn. */
    private function shared(): CountedFile
    {
        $file = new CountedFile($this->folder().'/file');
        for ($try = 0; $try < self::TRIES; $try++) {
            $before = $file->written;
            // Its two first stretches over and over, until one of them is written by the other one.
            $this->turns->write($file, 0, ($try % 2) * self::STRETCH, $this->imprint->stretch(($try % 2) * self::STRETCH, self::STRETCH));
            if ($file->written === $before) {
                $file->written = 0;

                return $file;
            }
            usleep(5000);
        }
        self::fail('Nobody began beside.');
    }

    private function writeAll(CountedFile $file): void
    {
        for ($i = 0; $i < self::COUNT; $i++) {
            $this->turns->write($file, 0, $i * self::STRETCH, $this->imprint->stretch($i * self::STRETCH, self::STRETCH));
        }
        $this->turns->drop();
    }

    private function assertAllRead(CountedFile $file): void
    {
        for ($i = 0; $i < self::COUNT; $i++) {
            $data = $this->turns->read($file, 0, $i * self::STRETCH, self::STRETCH);
            self::assertSame($this->imprint->range($i * self::STRETCH, self::STRETCH), $data->bytes(), "stretch {$i}");
        }
    }

    private static function spoil(string $path, int $at): void
    {
        $file = fopen($path, 'r+');
        assert($file !== false);
        fseek($file, $at);
        fwrite($file, 'spoilt');
        fclose($file);
    }

    /** @return list<int> */
    private static function children(): array
    {
        exec('ps -o pid=,args= --ppid '.getmypid(), $lines);

        return array_values(array_map(intval(...), array_filter($lines, fn (string $line): bool => str_contains($line, 'work()'))));
    }
}
