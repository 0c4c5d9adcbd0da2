<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Cards\Card;

/** The house's own series of tags, and the one that comes next. */
final class NextTag
{
    private function __construct(private int $last) {}

    public static function inHouse(): self
    {
        $last = Card::query()->where('tag', 'regexp', '^QS-[0-9]{1,9}$')->orderByRaw('length(tag) desc, tag desc')->value('tag');

        return new self(is_string($last) ? (int) substr($last, 3) : 0);
    }

    /** @param  list<string>  $tags */
    public static function after(array $tags): self
    {
        $numbers = array_map(fn (string $tag): int => preg_match('/^QS-(\d{1,9})$/', $tag, $m) === 1 ? (int) $m[1] : 0, $tags);

        return new self(max([0, ...$numbers]));
    }

    public function take(): string
    {
        return sprintf('QS-%03d', ++$this->last);
    }
}
