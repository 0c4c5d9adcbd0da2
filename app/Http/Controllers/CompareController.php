<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Compare\Axis;
use App\Pages\Compare\ComparePage;
use App\Pages\Compare\LimitsPage;
use App\Pages\Compare\TwinsPage;
use App\Pages\Page;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use InvalidArgumentException;
use Tally\Reading\Compare\Figures;

final readonly class CompareController
{
    private const OFFLOAD = '100 GB';

    public function show(Request $request): Page
    {
        $text = fn (string $name): ?string => is_string($request->query($name)) && $request->query($name) !== ''
            ? mb_substr($request->query($name), 0, 60)
            : null;

        return new ComparePage(
            compare: ComparePage::of(
                Axis::tryFrom($text('by') ?? '') ?? Axis::Reader,
                self::way($request),
                $text('a'),
                $text('b'),
                amount: $text('amount') ?? self::OFFLOAD,
            ),
        );
    }

    public function limits(Request $request): Page
    {
        return new LimitsPage(limits: LimitsPage::of(self::way($request)));
    }

    public function twins(): Page
    {
        return new TwinsPage(groups: TwinsPage::groups());
    }

    /** Two figures that were read off somewhere; keeps nothing. */
    public function figures(Request $request): JsonResponse
    {
        $text = fn (string $name): string => is_string($request->input($name)) ? mb_substr($request->input($name), 0, 60) : '';
        try {
            $figures = Figures::of($text('from'), $text('to'));
        } catch (InvalidArgumentException $fault) {
            return response()->json(['words' => [], 'trouble' => $fault->getMessage()]);
        }

        $times = $figures->times() === null ? [] : ["That is {$figures->times()}."];

        return response()->json(['words' => [$figures->there(), $figures->back(), ...$times], 'trouble' => null]);
    }

    private static function way(Request $request): string
    {
        return $request->query('way') === 'write' ? 'write' : 'read';
    }
}
