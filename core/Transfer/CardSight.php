<?php

declare(strict_types=1);

namespace Tally\Transfer;

use Tally\Device\Fault\UnusablePath;
use Tally\Device\Identity;
use Tally\Device\Place;

/** What lies in a slot just now: the medium itself, and what is on it. */
final readonly class CardSight
{
    /** @param  string|null  $fault  a sentence, where nothing can be read there */
    private function __construct(
        public ?Identity $medium = null,
        public ?Place $place = null,
        public ?Contents $contents = null,
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
}
