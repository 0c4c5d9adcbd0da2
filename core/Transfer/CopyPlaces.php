<?php

declare(strict_types=1);

namespace Tally\Transfer;

use JsonSerializable;
use Tally\Device\Fault\CannotCopy;
use Tally\Device\Place;
use Tally\Device\PlaceKind;

/** Where copies of a card are to lie, held against the card and against one another before the first byte. */
final readonly class CopyPlaces implements JsonSerializable
{
    /** @param  array<Place>  $onto  by what each is called: a path as it was given (as a key it may be a number), or the tag of a drive */
    private function __construct(private ?Place $source, private array $onto) {}

    /**
     * @param  Place|null  $source  where the card lies; null while that is not known
     * @param  array<Place>  $onto  by what each is called
     *
     * @throws CannotCopy where one can never be a copy
     */
    public static function of(?Place $source, array $onto): self
    {
        $before = [];
        foreach ($onto as $name => $place) {
            // Of a folder on the host’s own disk the disk itself is no card.
            if ($source !== null && $source->kind !== PlaceKind::Host && $place->isOnDeviceOf($source)) {
                throw CannotCopy::onTheCard((string) $name, $source->called());
            }
            foreach ($before as $other => $earlier) {
                if ($earlier->path === $place->path) {
                    throw CannotCopy::oneFolder((string) $other, (string) $name);
                }
            }
            $before[$name] = $place;
        }

        return new self($source, $onto);
    }

    /** @return array<Place> by what each is called */
    public function jsonSerialize(): array
    {
        return $this->onto;
    }

    /** On so many devices, any of which may be lost without the others. */
    public function apart(): int
    {
        return Place::apart(array_values($this->onto));
    }

    /** Whether each of them is a copy that counts. */
    public function areApart(): bool
    {
        return $this->apart() === count($this->onto);
    }

    /** @throws CannotCopy where two of them are one copy */
    public function mustBeApart(): void
    {
        foreach ($this->areApart() ? [] : $this->doubts() as $name => $doubt) {
            throw CannotCopy::notApart((string) $name, $doubt);
        }
    }

    /** @return array<string> by what the place is called: why it is less of a copy than it looks, in a sentence */
    public function doubts(): array
    {
        $doubts = $before = [];
        foreach ($this->onto as $name => $place) {
            $with = array_key_first(array_filter($before, $place->mayFallWith(...)));
            $said = match (true) {
                $place->kind === PlaceKind::Memory => "“{$name}” lies in this computer’s memory, and is gone with it: that is no copy.",
                $with !== null && $place->devices === [] => "Nobody here can tell which device is behind “{$name}”, so it counts as one ".
                    "copy with “{$with}”. For clearing a card two are to be on two drives.",
                $with !== null => "“{$with}” and “{$name}” lie on one device ({$place->called()}). For clearing a card that is one copy: ".
                    'two are to be on two drives.',
                $place->kind === PlaceKind::Host => "“{$name}” lies on this host’s own disk. If a drive was meant, it is not mounted ".
                    'there.'.($this->source?->kind === PlaceKind::Host ? ' What is copied lies there too.' : ''),
                default => null,
            };
            if ($said !== null) {
                $doubts[(string) $name] = $said;
            }
            $before[$name] = $place;
        }

        return $doubts;
    }
}
