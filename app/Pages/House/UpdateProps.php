<?php

declare(strict_types=1);

namespace App\Pages\House;

/** The books were brought up to date. */
final readonly class UpdateProps
{
    /**
     * @param  string  $on  when
     * @param  int  $changes  of the books
     * @param  list<ChangedVerdictProps>  $verdicts  that changed by it
     */
    public function __construct(public int $id, public string $on, public int $changes, public string $backup, public array $verdicts) {}
}
