<?php

declare(strict_types=1);

namespace Tests\Support;

use Closure;
use Tally\Device\Device;
use Tally\Device\Fault\CannotRead;
use Tally\Device\Fault\CannotSettle;
use Tally\Device\Fault\CannotWrite;
use Tally\Device\Fault\MediumGone;
use Tally\Pattern\Data;

/** A device with one kind of trouble put in front of it. */
final class TroubledDevice implements Device
{
    use InFrontOfDevice;

    /** @var list<array{int, int}> ranges that cannot be read */
    public array $unreadable = [];

    /** @var list<array{int, int}> ranges that cannot be written */
    public array $unwritable = [];

    public ?int $fullAt = null;

    public ?int $goneAtRead = null;

    public ?int $goneAtWrite = null;

    public bool $cannotSettle = false;

    /** @var Closure(): void|null done when the host forgets, that is between the two passes */
    public ?Closure $betweenPasses = null;

    public int $reads = 0;

    public function __construct(private readonly Device $device) {}

    public function write(int $offset, Data $data): void
    {
        $this->goneAtWrite !== null && $offset >= $this->goneAtWrite && throw MediumGone::from('the test card');
        $this->fullAt !== null && $offset + $data->length() > $this->fullAt && throw CannotWrite::full($offset, 'the test card');
        self::touches($this->unwritable, $offset, $data->length()) && throw CannotWrite::at($offset, 'the test card', 'no luck');
        $this->device->write($offset, $data);
    }

    public function read(int $offset, int $length): Data
    {
        $this->reads++;
        $this->goneAtRead !== null && $offset >= $this->goneAtRead && throw MediumGone::from('the test card');
        self::touches($this->unreadable, $offset, $length) && throw CannotRead::at($offset, $length, 'the test card', 'no luck');

        return $this->device->read($offset, $length);
    }

    public function settle(): void
    {
        $this->cannotSettle && throw CannotSettle::on('the test card', 'flushing failed');
        $this->device->settle();
    }

    public function forget(): bool
    {
        if ($this->betweenPasses !== null) {
            ($this->betweenPasses)();
        }

        return $this->device->forget();
    }

    /** @param  list<array{int, int}>  $ranges  from, to */
    private static function touches(array $ranges, int $offset, int $length): bool
    {
        foreach ($ranges as [$from, $to]) {
            if ($offset < $to && $offset + $length > $from) {
                return true;
            }
        }

        return false;
    }
}
