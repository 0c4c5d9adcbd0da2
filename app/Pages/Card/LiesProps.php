<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** What lies in a raw slot and would be erased. */
final readonly class LiesProps
{
    /**
     * @param  string  $device  what it is, with its size
     * @param  string|null  $token  by which the order says which medium was shown; null where nothing lies there
     * @param  list<string>  $on  serial number, file systems and files
     */
    public function __construct(public string $device, public ?string $token, public array $on) {}
}
