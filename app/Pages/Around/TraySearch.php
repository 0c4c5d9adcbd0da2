<?php

declare(strict_types=1);

namespace App\Pages\Around;

/** What of the tray a page looks for that it does not hold. */
final readonly class TraySearch
{
    /** More of them than anybody types, and more than a page names. */
    private const WORDS = 8;

    private const TAGS = 500;

    /** @var list<string> in small letters; each stands somewhere in a card's tag, its line or its verdict */
    public array $words;

    /** @var list<string> */
    public array $tags;

    /**
     * @param  string  $find  as it was typed
     * @param  array<mixed>  $tags  cards that it wants in any case
     * @param  string|null  $around  a card, with its neighbours
     */
    public function __construct(string $find, public TrayFilter $only, array $tags, public ?string $around)
    {
        $words = preg_split('/\s+/u', mb_strtolower(mb_substr($find, 0, 200)), self::WORDS + 1, PREG_SPLIT_NO_EMPTY);
        $this->words = array_slice($words === false ? [] : $words, 0, self::WORDS);
        $this->tags = array_slice(array_values(array_filter($tags, is_string(...))), 0, self::TAGS);
    }
}
