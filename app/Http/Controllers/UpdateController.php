<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Update;
use App\Models\When;
use App\Pages\House\UpdatesPage;
use App\Pages\Page;
use Tally\Verdict\VerdictKind;

/**
 * When the books were brought up to date, and which verdicts changed by it.
 *
 * @phpstan-import-type ChangedVerdictProps from UpdatesPage
 */
final readonly class UpdateController
{
    private const NEWEST = 20;

    public function __invoke(): Page
    {
        return new UpdatesPage(
            updates: array_values(
                Update::query()
                    ->latest('id')
                    ->limit(self::NEWEST)
                    ->get()
                    ->map(
                        fn (Update $one): array => [
                            'id' => $one->id,
                            'on' => $one->made_at->format(When::MOMENT).' UTC',
                            'changes' => $one->changes,
                            'backup' => $one->backup,
                            'verdicts' => array_map(
                                fn (array $changed): array => [
                                    'card' => $changed['card'],
                                    'before' => VerdictKind::tryFrom($changed['before']),
                                    'verdict' => VerdictKind::tryFrom($changed['verdict']),
                                    'why' => $changed['why'],
                                ],
                                $one->verdicts,
                            ),
                        ],
                    )
                    ->all(),
            ),
        );
    }
}
