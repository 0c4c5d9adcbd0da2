<?php

declare(strict_types=1);

namespace Tally\Transfer;

use JsonSerializable;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\Identity;
use Tally\Device\Place;

/** What lies in a slot just now: the medium itself, and what is on it. */
final readonly class CardSight implements JsonSerializable
{
    /** @param  string|null  $fault  a sentence, where nothing can be read there */
    private function __construct(
        public ?Identity $medium,
        public ?Place $place,
        public ?Contents $contents,
        public ?string $fault = null,
    ) {}

    public static function of(string $path): self
    {
        try {
            return new self(Identity::at($path), Place::of($path), Source::at($path)->contents());
        } catch (UnusablePath $fault) {
            $said = $fault->reason === 'emptyFolder' ? "“{$path}” holds no files." : $fault->getMessage();

            return new self(null, null, null, $said);
        }
    }

    public static function ofSource(Source $source): self
    {
        return new self(Identity::at($source->path), Place::of($source->path), $source->contents());
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return ['medium' => $this->medium?->pack(), 'place' => $this->place, 'contents' => $this->contents, 'fault' => $this->fault];
    }

    /** @param  array<mixed>  $packed */
    public static function unpack(array $packed): self
    {
        $of = fn (string $key): array => is_array($packed[$key] ?? null) ? $packed[$key] : [];

        return new self(
            Identity::unpack($of('medium')),
            Place::unpack($of('place')),
            $of('contents') === [] ? null : Contents::unpack($of('contents')),
            is_string($packed['fault'] ?? null) ? $packed['fault'] : null,
        );
    }
}
