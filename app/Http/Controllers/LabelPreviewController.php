<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\PreviewLabel;
use App\Pages\Card\LabelPreview;
use Illuminate\Http\JsonResponse;

/** Answers while a label is typed, field by field or as a line; keeps nothing. */
final readonly class LabelPreviewController
{
    public function __invoke(PreviewLabel $request): JsonResponse
    {
        return response()->json(LabelPreview::of($request->card(), $request->line()));
    }
}
