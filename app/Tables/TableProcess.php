<?php

declare(strict_types=1);

namespace App\Tables;

use Generator;
use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\PhpExecutableFinder;
use Symfony\Component\Process\Process;

/**
 * Reads a table of strangers in a process of its own, with a hard end to its memory, its time and its rights: whatever is in the file,
 * nobody else waits for it. Source: prlimit(1), setpriv(1).
 */
final readonly class TableProcess
{
    /** Seconds until there is a sentence; of processor, and as the clock has it. */
    private const SECONDS = 17;

    /** What PHP may take, and what the whole process may. */
    private const MEMORY = '256M';

    private const ROOM = 1 << 30;

    /**
     * @param  string  $name  as its owner calls it, for sentences
     * @param  string  $reader  the program that reads, below the folder of the application or by its own path
     * @return Generator<int, list<string>> row number in the sheet, from 1 → cells
     *
     * @throws NotATable
     */
    public static function rows(string $path, string $name, string $reader = 'bin/read-table'): Generator
    {
        $php = (new PhpExecutableFinder())->find(false);
        $reads = new Process(
            [
                'prlimit', '--as='.self::ROOM, '--cpu='.self::SECONDS, '--fsize='.(64 << 20), '--core=0', 'setpriv', '--no-new-privs',
                $php === false ? 'php' : $php, '-d', 'memory_limit='.self::MEMORY, '-d', 'ffi.enable=0', '-d', 'display_errors=0',
                str_starts_with($reader, '/') ? $reader : base_path($reader), $path, $name,
            ],
            sys_get_temp_dir(),
            // Nothing of this house is told to it.
            [...array_fill_keys(array_keys(getenv()), false), 'PATH' => '/usr/local/bin:/usr/bin:/bin'],
            timeout: self::SECONDS,
        );
        [$rest, $said] = ['', ''];
        try {
            $reads->start();
            foreach ($reads as $stream => $piece) {
                if ($stream === Process::ERR) {
                    $said = substr($said.$piece, 0, 2000);
                } else {
                    $lines = explode("\n", $rest.$piece);
                    $rest = array_pop($lines);
                    yield from self::cells($lines);
                }
            }
        } catch (ProcessTimedOutException) {
            throw NotATable::tooLong($name, self::SECONDS);
        }
        if ($reads->getExitCode() === 2) {
            throw NotATable::said(mb_scrub($said));
        }
        if (! $reads->isSuccessful()) {
            throw NotATable::tooMuch($name);
        }
    }

    /**
     * @param  list<string>  $lines
     * @return iterable<int, list<string>>
     */
    private static function cells(array $lines): iterable
    {
        foreach ($lines as $line) {
            $row = json_decode($line, true);
            if (is_array($row) && is_int($row[0] ?? null) && is_array($row[1] ?? null)) {
                yield $row[0] => array_values(array_filter($row[1], is_string(...)));
            }
        }
    }
}
