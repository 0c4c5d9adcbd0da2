<?php

declare(strict_types=1);

namespace Tally\Shoot\Written;

use InvalidArgumentException;
use Tally\CaseFile\GearNames;
use Tally\Label\Bus;
use Tally\Value\OwnJson;

/** A bus as people write it, `UHS-II`. */
final readonly class WrittenBus implements OwnJson
{
    public function __construct(public Bus $bus) {}

    public static function fromJson(mixed $given): static
    {
        $text = is_string($given) ? $given : throw new InvalidArgumentException('give a bus, such as UHS-II.');

        return new self(GearNames::bus($text) ?? throw new InvalidArgumentException("“{$text}” is no bus; UHS-II would do."));
    }

    public function jsonSerialize(): string
    {
        return $this->bus->value;
    }
}
