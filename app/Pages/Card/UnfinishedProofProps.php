<?php

declare(strict_types=1);

namespace App\Pages\Card;

/** A proof that can go on, or be read once more. */
final readonly class UnfinishedProofProps
{
    /**
     * @param  string  $where  how far it came, in words
     * @param  bool  $again  whether it is at its end and can be read back once more
     */
    public function __construct(public int $run, public string $where, public bool $again) {}
}
