<?php

declare(strict_types=1);

namespace Tally\Reading\Compare;

/** Cards of different labels that are each as fast as every other of them, on one chain. */
final readonly class TwinGroup
{
    /** @param  non-empty-list<TwinCandidate>  $members */
    public function __construct(public string $chain, public array $members) {}

    /** A back code that two or more of them share: it makes the case stronger. */
    public function sharedBackCode(): ?string
    {
        $codes = array_filter(
            array_map(fn (TwinCandidate $one): ?string => $one->backCode, $this->members),
            fn (?string $code): bool => $code !== null && $code !== '',
        );
        foreach (array_count_values($codes) as $code => $times) {
            if ($times > 1) {
                return strval($code);
            }
        }

        return null;
    }
}
