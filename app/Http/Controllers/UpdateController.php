<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Update;
use App\Pages\House\ChangedVerdictProps;
use App\Pages\House\UpdateProps;
use App\Pages\House\UpdatesPage;
use App\Pages\Page;
use Tally\Verdict\VerdictKind;

/** When the books were brought up to date, and which verdicts changed by it. */
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
                        fn (Update $one): UpdateProps => new UpdateProps(
                            $one->id,
                            $one->made_at->format('j M Y H:i').' UTC',
                            $one->changes,
                            $one->backup,
                            array_map(
                                fn (array $changed): ChangedVerdictProps => new ChangedVerdictProps(
                                    $changed['card'],
                                    VerdictKind::tryFrom($changed['before']),
                                    VerdictKind::tryFrom($changed['verdict']),
                                    $changed['why'],
                                ),
                                $one->verdicts,
                            ),
                        ),
                    )
                    ->all(),
            ),
        );
    }
}
