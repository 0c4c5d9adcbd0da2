<?php

declare(strict_types=1);

namespace App\Console;

use FFI;

/**
 * Work on media in a process beside the one that somebody waits for: what hangs in the kernel answers no signal, and a stop is to be
 * answered all the same. Nothing of the framework is loaded in the one that waits.
 *
 * Source: proc(5), /proc/pid/syscall and fd; PR_SET_PDEATHSIG of prctl(2).
 */
final readonly class Supervised
{
    private const COMMANDS = ['tally:offload', 'tally:verify'];

    /** Set for the process that works. With `no` from outside, one process does both. */
    private const MARK = 'TALLY_SUPERVISED';

    /** Seconds from the stop until it is answered, whatever hangs. */
    private const PATIENCE = 4.5;

    /**
     * @param  list<string>  $argv
     * @return int|null the exit code; null where this process is the one that works
     */
    public static function run(array $argv): ?int
    {
        $mark = getenv(self::MARK);
        if (! in_array($argv[1] ?? '', self::COMMANDS, true) || $mark === 'no' || ! function_exists('pcntl_signal')) {
            return null;
        }
        if ($mark !== false) {
            self::endWithParent();

            // Whoever waited for it may be gone by then.
            return $mark === (string) posix_getppid() ? null : 2;
        }
        $waits = (string) getmypid();
        $work = pcntl_fork();
        if ($work === 0) {
            pcntl_exec(PHP_BINARY, $argv, [...getenv(), self::MARK => $waits]);
        }

        return $work > 0 ? self::wait($work, in_array('--json', $argv, true)) : null;
    }

    private static function wait(int $work, bool $isJson): int
    {
        $asked = null;
        pcntl_async_signals(true);
        foreach ([SIGINT, SIGTERM, SIGHUP] as $signal) {
            pcntl_signal($signal, function (int $signal) use ($work, &$asked): void {
                $asked ??= hrtime(true) / 1e9;
                posix_kill($work, $signal);
            });
        }
        $status = 0;
        for (; pcntl_waitpid($work, $status, WNOHANG) === 0; usleep(20_000)) {
            if (is_float($asked) && hrtime(true) / 1e9 - $asked > self::PATIENCE) {
                return self::leave($work, $isJson);
            }
        }
        assert(is_int($status));

        return pcntl_wifsignaled($status) ? 128 + (int) pcntl_wtermsig($status) : (int) pcntl_wexitstatus($status);
    }

    /** It cannot be ended where it hangs in the kernel; nobody waits for it any more. */
    private static function leave(int $pid, bool $isJson): int
    {
        $on = self::hangsOn($pid);
        $said = 'Stopped, and left as it is: '.($on === null ? 'the medium' : "“{$on}”").' does not answer. What is whole stays on the '.
            'drives, with a journal; take the medium out, and go on with --resume.';
        posix_kill($pid, SIGKILL);
        fwrite(STDERR, "\n{$said}\n");
        if ($isJson) {
            $answer = ['home' => false, 'stopped' => true, 'hangs' => $on];
            fwrite(STDOUT, json_encode($answer, JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE)."\n");
        }

        return 2;
    }

    /** @return string|null the file or folder that the kernel is busy with for it */
    private static function hangsOn(int $pid): ?string
    {
        $said = explode(' ', (string) @file_get_contents("/proc/{$pid}/syscall"));
        foreach (array_slice($said, 1, 2) as $argument) {
            $path = @readlink("/proc/{$pid}/fd/".hexdec($argument));
            if ($path !== false && str_starts_with($path, '/') && ! str_starts_with($path, '/dev/null')) {
                return $path;
            }
        }

        return null;
    }

    private static function endWithParent(): void
    {
        try {
            FFI::cdef('int prctl(int option, unsigned long to, ...);')->prctl(1, SIGKILL); // @phpstan-ignore method.notFound
        } catch (FFI\Exception) {
            // Then it goes on alone, as a process without one to wait for it does.
        }
    }
}
