<?php

declare(strict_types=1);

namespace Tests\Stations;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Support\KillsOffloads;
use Tests\Support\LoopMount;

/** `tally:offload`, killed at random moments and gone on with. TALLY_KILLS sets how often. */
final class KilledOffloadTest extends TestCase
{
    use KillsOffloads, LoopMount {
        LoopMount::tearDown insteadof KillsOffloads;
    }

    /** @return iterable<string, array{list<string>, int}> options besides --to, drives */
    public static function ways(): iterable
    {
        yield 'onto one drive' => [[], 1];
        yield 'onto two drives, by relay' => [['--relay'], 2];
    }

    /** @param  list<string>  $options */
    #[DataProvider('ways')]
    public function test_killed_at_any_moment_it_goes_on_and_nothing_half_ever_has_a_name(array $options, int $drives): void
    {
        $files = [];
        for ($i = 0; $i < 300; $i++) {
            $files[sprintf('DCIM/%d/still-%03d', $i % 7, $i)] = random_bytes(1 + 531 * $i);
        }
        $files['DCIM/clip.mov'] = random_bytes(40_000_000);
        $card = $this->cardFolder($files);
        $laden = $this->sums($card);
        $onto = array_map(fn (): string => $drives === 1 ? $this->folder() : $this->mounted('ext4', 192), range(1, $drives));
        array_push($options, ...array_map(fn (string $drive): string => "--to={$drive}", $onto));
        $killed = 0;
        for ($i = 0; $i < $this->kills($drives === 1 ? 5 : 3); $i++) {
            $before = [];
            foreach ($onto as $drive) {
                $this->mustBeWholeSoFar($laden, $drive);
                $before[$drive] = $this->inodes($drive);
            }
            $killed += $this->kill($this->offload($card, $i > 0 ? [...$options, '--resume'] : $options)) ? 1 : 0;
            foreach ($onto as $drive) {
                // What was whole is not touched again.
                self::assertSame($before[$drive], array_intersect_key($this->inodes($drive), $before[$drive]));
            }
            if (file_exists(end($onto).'/QS-014.sha256')) {
                foreach ($onto as $drive) {
                    $this->mustBeHome($laden, $drive);
                    exec('rm -rf '.escapeshellarg($drive).'/*');
                }
            }
        }
        self::assertGreaterThan(0, $killed);
        $last = $this->offload($card, [...$options, '--resume']);
        $last->wait();
        self::assertSame(0, $last->getExitCode(), $last->getOutput().$last->getErrorOutput());
        foreach ($onto as $drive) {
            $this->mustBeHome($laden, $drive);
        }
    }
}
