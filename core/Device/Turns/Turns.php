<?php

declare(strict_types=1);

namespace Tally\Device\Turns;

use Tally\Device\Host\HostError;
use Tally\Device\Host\HostFile;
use Tally\Device\Host\ProcessBeside;
use Tally\Device\Raw\DirectFile;
use Tally\Pattern\Data;
use Tally\Pattern\Literal;
use Tally\Pattern\Mosaic;
use Tally\Pattern\Stretch;

/**
 * Stretches of the pattern that follow each other, written and read in turn by this process and one beside it: while one moves
 * its stretch the other makes, fetches or checks the next. They reach the medium in their order, and an error is told of the very
 * stretch that it befell. A stretch that does not follow is moved by this process, as all are where it has none beside it.
 */
final class Turns
{
    /** Larger stretches leave the processor's own memory. Bytes. */
    private const MOST = 4_194_304;

    /** On a smaller medium a process beside does not earn what it takes to begin. Bytes. */
    private const WORTH = 134_217_728;

    private ?ProcessBeside $beside = null;

    private bool $isReady = false;

    /** What the other one has open too. */
    private ?HostFile $file = null;

    /** What the other one has made, to be written next. */
    private ?Stretch $made = null;

    /** @var array{Stretch, string}|null what this one has made, to be written next */
    private ?array $own = null;

    /** What was written last, and how far its address is ahead of where it lies: what should come back. */
    private ?Stretch $written = null;

    private int $ahead = 0;

    /** @var array{int, int}|null offset and length of what the other one is reading */
    private ?array $asked = null;

    /** @var array{int, int, string|HostError}|null offset and length of what this one has read ahead, and what came */
    private ?array $fetched = null;

    /** Where the stretch that was read last ends, in its file. */
    private int $end = 0;

    private function __construct(private bool $isWorthIt) {}

    /** @param  int  $size  of the medium in bytes */
    public static function over(int $size): self
    {
        return new self($size >= self::WORTH);
    }

    /**
     * @param  int  $start  where on the medium the file begins, in bytes; offsets are from there
     *
     * @throws HostError
     */
    public function write(HostFile $file, int $start, int $offset, Data $data): void
    {
        if (! $data instanceof Stretch || ! $this->isShared($file, $data->length())) {
            $file->write($offset, $data->bytes());

            return;
        }
        $this->drop();
        [$this->written, $this->ahead] = [$data, $data->address - $start - $offset];
        $next = $data->next();
        if ($this->made?->is($data) === true) {
            $this->made = null;
            $this->tell("write {$offset}");
            $this->own = $next === null ? null : [$next, $next->bytes()];
            if ($this->own !== null) {
                $file->prepare($this->own[1]);
            }
            if ($this->answer($file) === null) {
                $file->write($offset, $data->bytes());
            }
        } else {
            $bytes = $this->own !== null && $this->own[0]->is($data) ? $this->own[1] : $data->bytes();
            [$this->own, $this->made] = [null, $next];
            if ($next !== null) {
                $this->tell("make {$next->length()} {$this->pattern($next->address)}");
            }
            $file->write($offset, $bytes);
        }
    }

    /**
     * @param  int  $start  as in writing
     * @return Data shorter than asked for only where the file ends
     *
     * @throws HostError
     */
    public function read(HostFile $file, int $start, int $offset, int $length): Data
    {
        if (! $this->isShared($file, $length) || $this->written === null) {
            return new Literal($file->read($offset, $length));
        }
        $follows = $offset === $this->end;
        $this->end = $offset + $length;
        if ($this->asked === [$offset, $length]) {
            $this->asked = null;
            $this->fetched = [$this->end, $length, $this->fetch($file, $this->end, $length)];

            return $this->came($file, $start + $offset) ?? new Literal($file->read($offset, $length));
        }
        $fetched = $this->fetched !== null && [$this->fetched[0], $this->fetched[1]] === [$offset, $length] ? $this->fetched[2] : null;
        $this->drop();
        if ($follows) {
            $this->asked = [$this->end, $length];
            $this->tell("read {$this->end} {$length} {$this->pattern($start + $this->end + $this->ahead)}");
        }
        $bytes = $fetched ?? $file->read($offset, $length);

        return $bytes instanceof HostError ? throw $bytes : new Literal($bytes);
    }

    /** What was read ahead is not what lies there any more. */
    public function drop(): void
    {
        if ($this->asked !== null && $this->file !== null) {
            try {
                $this->came($this->file, 0);
            } catch (HostError) {
                // Nobody has asked for it.
            }
        }
        [$this->asked, $this->fetched] = [null, null];
    }

    /** Lets go of all that the other one has open. */
    public function end(): void
    {
        $this->drop();
        [$this->beside, $this->isReady, $this->file, $this->made] = [null, false, null, null];
    }

    /** Whether the other one is ready, and has the file open too. */
    private function isShared(HostFile $file, int $length): bool
    {
        if (! $this->isWorthIt || $length > self::MOST) {
            $this->drop();

            return false;
        }
        $this->beside ??= ProcessBeside::of(Beside::class);
        $this->isWorthIt = $this->beside !== null;
        $this->isReady = $this->isReady || ($this->beside?->hasSpoken() === true && $this->beside->answer() === Beside::READY);
        if ($this->isReady && $this->file !== $file) {
            $this->drop();
            [$this->file, $this->end] = [$file, 0];
            $manner = $file instanceof DirectFile && $file->isDirect ? 'direct' : 'plain';
            $this->tell("open {$manner} /proc/".getmypid().'/fd/'.basename($file->held()));
        }

        return $this->isReady;
    }

    private function fetch(HostFile $file, int $offset, int $length): string|HostError
    {
        try {
            return $file->read($offset, $length);
        } catch (HostError $error) {
            return $error;
        }
    }

    /**
     * @return Data|null what the other one read; null when it could not take its turn
     *
     * @throws HostError
     */
    private function came(HostFile $file, int $from): ?Data
    {
        $answer = $this->answer($file);
        if ($answer === null) {
            return null;
        }
        if ($answer[0] === Beside::HOLDS && $this->written !== null) {
            return new Mosaic([$this->written->imprint->stretch($from + $this->ahead, $answer[1])]);
        }
        $bytes = $this->beside?->bytes($answer[1]);

        return $bytes === null ? null : new Literal($bytes);
    }

    /**
     * @return array{string, int}|null what it did, and with how many bytes; null when it could not take its turn
     *
     * @throws HostError
     */
    private function answer(HostFile $file): ?array
    {
        $line = $this->beside?->answer();
        if ($line === null) {
            [$this->beside, $this->isReady, $this->isWorthIt] = [null, false, false];

            return null;
        }
        [$did, $bytes, $errno] = [...explode(' ', $line), '0', '0'];
        if ($did === Beside::FAILED) {
            throw new HostError((int) $errno, 'move', $file->held(), (int) $bytes);
        }

        return $did === Beside::CANNOT ? null : [$did, (int) $bytes];
    }

    private function tell(string $what): void
    {
        $this->beside?->tell("{$what}\n");
    }

    private function pattern(int $address): string
    {
        return "{$address} {$this->written?->imprint->run} {$this->written?->imprint->size->count}";
    }
}
