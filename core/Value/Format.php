<?php

declare(strict_types=1);

namespace Tally\Value;

use Attribute;

/** An open file of ours: it says which format it is of, and which version of that, before anything else is asked of it. */
#[Attribute(Attribute::TARGET_CLASS)]
final readonly class Format
{
    public function __construct(private string $name, private int $version) {}

    /**
     * @param  array<mixed>  $given
     *
     * @throws NotUsable
     */
    public function mustBe(array $given, string $at): void
    {
        if (($given['format'] ?? null) !== $this->name) {
            throw NotUsable::in($given, $at, 'format', "“{$this->name}” would do.");
        }
        if (($given['version'] ?? null) !== $this->version) {
            throw NotUsable::in($given, $at, 'version', "this program reads version {$this->version}.");
        }
    }

    /** @return array{format: string, version: int} */
    public function written(): array
    {
        return ['format' => $this->name, 'version' => $this->version];
    }
}
