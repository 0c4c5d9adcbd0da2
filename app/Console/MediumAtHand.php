<?php

declare(strict_types=1);

namespace App\Console;

use App\Erasing\Ledger;
use App\Erasing\Permit;
use App\Erasing\RightMedium;
use App\Models\Cards\Card;
use App\Runs\Conducting\CheckpointFile;
use App\Runs\Conducting\LaidMedium;
use App\Runs\Conducting\LeftOnMedium;
use App\Stations\StationFolders;
use Illuminate\Database\QueryException;
use InvalidArgumentException;
use LogicException;
use Symfony\Component\Console\Input\InputInterface;
use Tally\Device\HeldFolder;
use Tally\Probe\Proof\Checkpoint;
use Tally\Quantity\Bytes;
use Tally\Simulated\Medium;
use Throwable;

/** What a terminal command was pointed at: a mounted folder, a raw medium or a stand-in, and perhaps the card to file the result under. */
final readonly class MediumAtHand
{
    private const STAND_IN = 'stand-in:';

    private function __construct(
        public string $path,
        public ?Bytes $size,
        public ?Card $card,
        public bool $isRaw = false,
        private ?string $why = null,
        private ?string $lost = null,
    ) {}

    /** @throws InvalidArgumentException with a sentence for the terminal */
    public static function from(InputInterface $input): self
    {
        $path = $input->getArgument('path');
        $option = function (string $name) use ($input): ?string {
            $value = $input->hasOption($name) ? $input->getOption($name) : null;

            return is_string($value) ? $value : null;
        };
        [$size, $tag, $path] = [$option('size'), $option('card'), is_string($path) ? $path : ''];
        $isRaw = $input->hasOption('raw') && $input->getOption('raw') === true;
        if ($isRaw || $option('erase') !== null) {
            self::mustBeMeant($path, $isRaw, $option('erase'));
        }

        return new self(
            $path,
            $size === null ? null : self::size($size),
            $tag === null ? null : self::card($tag),
            $isRaw,
            why: $option('why'),
            lost: $option('lost'),
        );
    }

    public function isSimulated(): bool
    {
        return str_starts_with($this->path, self::STAND_IN);
    }

    /** @throws \Tally\Device\Fault\DeviceFault|InvalidArgumentException */
    public function lay(?Bytes $size): LaidMedium
    {
        return match (true) {
            $this->isSimulated() => LaidMedium::simulated($this->medium()),
            $this->isRaw => $this->erased('full proof'),
            default => LaidMedium::folder($this->folder(), $size),
        };
    }

    /** @throws \Tally\Device\Fault\DeviceFault|InvalidArgumentException */
    public function layForScreen(): LaidMedium
    {
        return match (true) {
            $this->isSimulated() => LaidMedium::simulated($this->medium()),
            $this->isRaw => $this->erased('quick screen'),
            default => LaidMedium::oneFile($this->folder(), $this->size),
        };
    }

    /**
     * The medium of a proof that is to go on.
     *
     * @throws \Tally\Device\Fault\DeviceFault|InvalidArgumentException
     */
    public function layOutAgain(Checkpoint $from, LeftOnMedium $kept): LaidMedium
    {
        return match (true) {
            $this->isSimulated() => LaidMedium::simulated($this->medium(), null, $from),
            $this->isRaw => $this->erased('full proof, continued'),
            default => LaidMedium::folderContinued($this->folder(), $kept->folder ?? '', $from->size),
        };
    }

    /** The keeper of the place where a proof can be taken up again. */
    public function checkpointFile(LaidMedium $laid): CheckpointFile
    {
        return new CheckpointFile($this->path, $laid->device->facts()->folder);
    }

    /** Anywhere, at the terminal; but a plain folder only where the station's settings say so. */
    private function folder(): HeldFolder
    {
        Permit::mustNotWriteOver($this->path, $this->card, $this->lost);

        return StationFolders::anywhere()->hold($this->path);
    }

    private function medium(): Medium
    {
        return Medium::parse(substr($this->path, strlen(self::STAND_IN)));
    }

    private function erased(string $what): LaidMedium
    {
        $laid = LaidMedium::raw($this->path, Permit::guard($this->path, $this->card, $this->why, null));
        $device = $laid->device;
        try {
            $now = $device->facts()->identity ?? throw new LogicException('A raw medium is something.');
            if ($this->card !== null) {
                RightMedium::notAnother($this->path, $this->card, $device, $now, why: $this->why);
            }
            Ledger::enter($what, $this->path, $now, self::person(), card: $this->card, why: $this->why);
        } catch (Throwable $fault) {
            $laid->device->close();
            throw $fault;
        }

        return $laid;
    }

    /** Who sits at the terminal: also behind sudo. */
    public static function person(): string
    {
        $behind = getenv('SUDO_USER');
        $user = function_exists('posix_getpwuid') ? posix_getpwuid(posix_geteuid()) : false;

        return $behind !== false && $behind !== '' ? $behind : ($user === false ? get_current_user() : $user['name']);
    }

    private static function mustBeMeant(string $path, bool $isRaw, ?string $erase): void
    {
        if (str_starts_with($path, self::STAND_IN)) {
            throw new InvalidArgumentException('A stand-in is neither raw nor a folder: leave --raw and --erase out.');
        }
        if (! $isRaw) {
            throw new InvalidArgumentException('--erase was given without --raw. Only a raw run erases; leave --erase out, or add --raw.');
        }
        if ($erase !== $path) {
            $given = $erase === null ? '' : " “{$erase}” was given.";
            throw new InvalidArgumentException(
                "A raw run erases everything on “{$path}”. If that is meant, say it twice: --erase={$path}.{$given}",
            );
        }
    }

    private static function size(string $given): Bytes
    {
        $size = Bytes::parse($given);

        return $size->isZero() ? throw new InvalidArgumentException("--size was “{$given}”: give more than nothing, such as 1GB.") : $size;
    }

    private static function card(string $tag): Card
    {
        try {
            return Card::query()->where('tag', $tag)->first() ??
                throw new InvalidArgumentException("--card: no card is tagged “{$tag}”. Enter it on the Intake page first.");
        } catch (QueryException) {
            throw new InvalidArgumentException(
                '--card needs the database, which does not answer. Start it with ./start, or leave --card out.',
            );
        }
    }
}
