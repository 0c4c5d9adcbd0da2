<?php

declare(strict_types=1);

namespace App\Compare;

use App\Models\Runs\Run;
use Tally\Reading\WayReading;

/** A speed run that counts, with the gear it went over, for holding against others. */
final readonly class SpeedFigure
{
    /**
     * @param  list<float>  $writes  bytes a second; empty where they are not trusted
     * @param  list<float>  $reads
     * @param  float  $usable  bytes a second that the chain gives in practice
     * @param  float|null  $least  what it gives at the very least; null where nobody knows
     */
    private function __construct(public Run $run, public array $writes, public array $reads, public float $usable, public ?float $least) {}

    public static function of(Run $run): self
    {
        $record = $run->speeds();
        $reading = $run->reading();
        $path = $run->chain->surest($run->card->label());

        return new self(
            $run,
            self::trusted($reading?->write, $record->writes ?? []),
            self::trusted($reading?->read, $record->reads ?? []),
            $path->usable()->bytesPerSecond,
            least: $path->practice()?->low->bytesPerSecond,
        );
    }

    /** @return list<float> */
    public function rates(string $way): array
    {
        return $way === 'write' ? $this->writes : $this->reads;
    }

    /** Reader, cable and port: what has to be the same for two cards to be held against each other. Null where nobody told. */
    public function chain(): ?string
    {
        $reader = $this->run->reader;
        $port = $this->run->port;

        return $reader === null || $port === null
            ? null
            : $reader->tag.($this->run->cable === null ? '' : " on {$this->run->cable->tag}")." at {$port->host->name} {$port->name}";
    }

    /**
     * @param  list<float>  $rates
     * @return list<float>
     */
    private static function trusted(?WayReading $way, array $rates): array
    {
        return $way?->isTrusted() === true ? $rates : [];
    }
}
