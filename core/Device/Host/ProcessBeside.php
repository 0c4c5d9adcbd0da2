<?php

declare(strict_types=1);

namespace Tally\Device\Host;

/**
 * A process of this program beside this one, for the second core: told on its standard input, answering on its standard output.
 * When who started it lets go of it or dies, its input ends, and so does it.
 */
final class ProcessBeside
{
    /** PHP with what core needs and no more: it begins in a third of the time. */
    private const PHP = [PHP_BINARY, '-n', '-d', 'extension=ffi', '-d', 'extension=posix', '-r'];

    /**
     * @param  resource  $process
     * @param  resource  $to  what it is told by
     * @param  resource  $from  what it answers by
     * @param  Processors  $before  which this process ran on
     */
    private function __construct(
        private readonly mixed $process,
        public readonly mixed $to,
        public readonly mixed $from,
        private readonly Processors $before,
    ) {}

    /**
     * @param  class-string  $class  its static `work()` is what the process does
     * @return self|null null where no such process can be had, or there is but one processor
     */
    public static function of(string $class): ?self
    {
        // Core is enough, and there in a tenth of the time.
        $core = var_export(dirname(__DIR__, 2), true);
        $load = "spl_autoload_register(fn (\$c) => require {$core}.strtr(substr(\$c, 5), '\\\\', '/').'.php');";
        $run = "{$load} {$class}::work();";
        $before = Processors::allowed();
        $halves = $before->halves();
        $pipes = [];
        if ($halves !== null) {
            $halves[1]->keepTo();
        }
        $process = $halves !== null && PHP_SAPI === 'cli'
            ? @proc_open([...self::PHP, $run], [0 => ['pipe', 'r'], 1 => ['pipe', 'w'], 2 => ['file', '/dev/null', 'w']], $pipes)
            : false;
        if (! is_resource($process) || ! isset($pipes[0], $pipes[1])) {
            $before->keepTo();

            return null;
        }
        $halves[0]->keepTo();

        return new self($process, $pipes[0], $pipes[1], $before);
    }

    /** Said by the process itself: who ends the work ends it by closing the pipe. */
    public static function leaveSignals(): void
    {
        foreach ([SIGINT, SIGTERM, SIGHUP] as $signal) {
            pcntl_signal($signal, SIG_IGN);
        }
    }

    /** What it does not take is missed when it is asked. */
    public function tell(string $message): void
    {
        @fwrite($this->to, $message);
    }

    /** @return string|null a line without its end; null when it died */
    public function answer(): ?string
    {
        $line = fgets($this->from);

        return $line === false ? null : rtrim($line, "\n");
    }

    /** @return string|null exactly so many bytes; null when it died over them */
    public function bytes(int $length): ?string
    {
        $bytes = stream_get_contents($this->from, $length);

        return $bytes === false || strlen($bytes) !== $length ? null : $bytes;
    }

    /** Whether it has something to say; asking does not wait. */
    public function hasSpoken(): bool
    {
        [$read, $none] = [[$this->from], null];

        return stream_select($read, $none, $none, 0) === 1;
    }

    public function __destruct()
    {
        fclose($this->to);
        fclose($this->from);
        proc_close($this->process);
        $this->before->keepTo();
    }
}
