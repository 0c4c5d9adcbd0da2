<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Pages\House\OpinionPage;
use App\Pages\Page;
use App\SecondOpinion\NotAnOpinion;
use App\SecondOpinion\OpinionFile;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** A second opinion on figures from anywhere. Nothing of it comes into the books. */
final readonly class OpinionController
{
    public function show(): Page
    {
        return new OpinionPage(opinions: null);
    }

    public function judge(Request $request): Page|RedirectResponse
    {
        $file = $request->file('file');
        if (! ($file instanceof UploadedFile) || ! $file->isValid()) {
            return back()->withErrors(['file' => 'No file was given. Choose a case, a list of cases, or a result file (.json).']);
        }
        try {
            $cases = OpinionFile::read($file->getSize() > OpinionFile::MOST ? str_repeat(' ', OpinionFile::MOST + 1) : $file->getContent());
        } catch (NotAnOpinion $fault) {
            return back()->withErrors(['file' => $fault->getMessage()]);
        }

        return new OpinionPage(opinions: OpinionPage::of($cases, mb_substr($file->getClientOriginalName(), 0, 80)));
    }

    /** What such a file looks like: an example, and the schema of the format. */
    public function example(string $file): BinaryFileResponse
    {
        return response()->file(base_path($file === 'schema' ? 'docs/case.schema.json' : 'docs/examples/case.json'), [
            'Content-Type' => 'application/json',
        ]);
    }
}
