<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\PreviewLabel;
use App\Pages\Card\LabelPreview;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Tally\Label\Line\LabelReader;

/** Answers while a label is typed; keeps nothing. */
final readonly class LabelPreviewController
{
    public function line(Request $request): JsonResponse
    {
        $line = $request->input('line');

        return response()->json(LabelPreview::line(LabelReader::read(is_string($line) ? mb_substr($line, 0, 300) : '')));
    }

    public function label(PreviewLabel $request): JsonResponse
    {
        return response()->json(LabelPreview::of($request->card()));
    }
}
