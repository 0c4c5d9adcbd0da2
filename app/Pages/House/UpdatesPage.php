<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Pages\Page;
use Tally\Verdict\VerdictKind;

/**
 * All that the page Updates shows.
 *
 * @phpstan-type ChangedVerdictProps array{ // A card whose verdict was another one before.
 *     card: string,
 *     before: VerdictKind|null,
 *     verdict: VerdictKind|null,
 *     why: string,
 * }
 * @phpstan-type UpdateProps array{ // The books were brought up to date.
 *     id: int,
 *     on: string, // when
 *     changes: int, // of the books
 *     backup: string,
 *     verdicts: list<ChangedVerdictProps>, // that changed by it
 * }
 */
final readonly class UpdatesPage extends Page
{
    /** @param  list<UpdateProps>  $updates  the newest first */
    public function __construct(public array $updates) {}
}
