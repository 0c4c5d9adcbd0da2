<?php

declare(strict_types=1);

namespace Tests\Stations;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Support\TemporaryFolder;

/** What bin/common launches and lands: each process is known by its number and its beginning, and only what is landed is waited for. */
final class LaunchTest extends TestCase
{
    use TemporaryFolder;

    /** @return list<string> the lines that the script printed */
    private function lines(string $script): array
    {
        $folder = $this->folder();
        $bash = new Process(
            ['bash', '-c', "source bin/common; {$script}"],
            dirname(__DIR__, 2),
            ['GRITTY_RUN' => $folder],
            timeout: 20,
        );
        self::assertSame(0, $bash->run(), $bash->getErrorOutput());

        return explode("\n", trim($bash->getOutput()));
    }

    public function test_landing_waits_for_nothing_but_what_is_landed(): void
    {
        // A child that goes on, as one that a keeper has just begun to launch, is not waited for.
        $said = $this->lines('launch one sleep 300; launch two sleep 300; sleep 300 & other=$!
            land_all 5 one two nobody; alive one && echo one || true; alive two && echo two || true
            kill $other && echo "the other lived"');

        self::assertSame(['the other lived'], $said);
    }

    public function test_a_process_is_known_from_the_moment_it_is_launched(): void
    {
        [$file, $proc] = $this->lines('launch one sleep 300; cat "$RUN/one.pid"
            read -r pid _ <"$RUN/one.pid"; echo "$pid $(sed "s/^.*) //" /proc/$pid/stat | cut -d" " -f20)"; land one');

        self::assertSame($proc, $file);
    }

    public function test_what_will_not_end_is_ended_by_force_and_that_is_said(): void
    {
        $said = $this->lines('launch deaf bash -c "trap \"\" TERM; echo up; while :; do sleep 1; done"
            until grep -q up "$RUN/deaf.log"; do sleep 0.05; done; land_all 1 deaf; alive deaf && echo alive || echo gone');

        self::assertSame(['deaf did not end within 1 s and was ended by force', 'gone'], array_map(trim(...), $said));
    }

    public function test_a_number_that_is_another_process_by_now_is_left_alone(): void
    {
        $said = $this->lines('sleep 300 & other=$!; echo "$other 1" >"$RUN/one.pid"; alive one || echo "not it"
            land one; kill $other && echo "left alone"');

        self::assertSame(['not it', 'left alone'], $said);
    }
}
