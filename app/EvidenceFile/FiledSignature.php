<?php

declare(strict_types=1);

namespace App\EvidenceFile;

use InvalidArgumentException;

/** Who signed a result file. */
final readonly class FiledSignature
{
    /**
     * @param  list<string>|null  $covers  null in files of before, whose hash alone was signed
     *
     * @throws InvalidArgumentException where it covers something else
     */
    public function __construct(public string $station, public string $key, private string $value, private ?array $covers = null)
    {
        if ($covers !== null && $covers !== StationKeys::COVERS) {
            throw new InvalidArgumentException('“covers” is something else: this program signs '.implode(', ', StationKeys::COVERS).'.');
        }
    }

    /** @throws NotAResult when it is not of that file */
    public function mustFit(string $hash, string $madeAt): void
    {
        $message = $this->covers === null ? $hash : StationKeys::message($hash, $madeAt, $this->station);
        if (! StationKeys::verify($message, $this->key, $this->value)) {
            throw NotAResult::because('its signature is not of this file: it was changed since, or signed by another key.');
        }
    }
}
