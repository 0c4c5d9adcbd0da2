<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\AskWhatIf;
use App\Pages\Offload\PlanPage;
use Illuminate\Http\JsonResponse;
use Tally\Offload\WhatIf;
use Tally\Offload\WorthIt;

/** What one change would save in a plan, and whether it is worth its price. */
final readonly class WhatIfController
{
    /** Seconds of search for each change. */
    private const EACH = 0.06;

    public function __invoke(AskWhatIf $request): JsonResponse
    {
        $plan = $request->plan($request->asked());

        return response()->json(
            array_map(
                fn (WhatIf $one): array => PlanPage::whatIf(
                    $one,
                    new WorthIt($one->saves, $request->amount('month'), $request->amount('hour'), $request->amount('price')),
                ),
                $plan->decision->cards === [] ? [] : WhatIf::of($plan, self::EACH),
            ),
        );
    }
}
