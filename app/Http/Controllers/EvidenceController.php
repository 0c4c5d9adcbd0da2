<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\EvidenceFile\EvidenceSheet;
use App\EvidenceFile\NotAResult;
use App\EvidenceFile\ResultFile;
use App\EvidenceFile\ResultReader;
use App\Http\FileAnswer;
use App\Http\Person;
use App\Models\Cards\Card;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;

/** What is handed on about a card: a page for whoever sold it, and an open file that can be read back in. */
final readonly class EvidenceController
{
    public function sheet(Card $card): Response
    {
        return FileAnswer::pdf("evidence-{$card->tag}.pdf", EvidenceSheet::pdf($card));
    }

    public function result(Card $card): Response
    {
        $json = json_encode(
            ResultFile::of($card),
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION,
        );

        return response($json, 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => "attachment; filename=\"result-{$card->tag}.json\"",
        ]);
    }

    public function take(Request $request, Card $card): RedirectResponse
    {
        $file = $request->file('result');
        if (! ($file instanceof UploadedFile) || ! $file->isValid()) {
            return back()->withErrors([
                'result' => 'No result file was given. Choose one that was made here or elsewhere by this program (result-….json).',
            ]);
        }
        try {
            $taken = ResultReader::read(
                $file->getSize() > ResultReader::MOST ? str_repeat(' ', ResultReader::MOST + 1) : $file->getContent(),
            )->take($card, Person::of($request) ?? 'nobody named');
        } catch (NotAResult $fault) {
            return back()->withErrors(['result' => $fault->getMessage()]);
        }

        return $taken->runs === 0
            ? back()->withErrors([
                'result' => $taken->isApart()
                    ? 'That file is kept here already, apart.'
                    : 'Every run of that file is here already: nothing was added.',
            ])
            : back();
    }
}
