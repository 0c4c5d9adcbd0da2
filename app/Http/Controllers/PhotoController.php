<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Person;
use App\Models\Cards\Card;
use App\Models\Cards\Photo;
use App\Photos\NotAPhoto;
use App\Photos\PhotoStore;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\ValidationException;

final readonly class PhotoController
{
    public function store(Request $request, Card $card): RedirectResponse
    {
        $side = $request->input('side');
        if (! is_string($side) || ! in_array($side, Photo::SIDES, true)) {
            throw ValidationException::withMessages(['photo' => 'Say which side it shows: front or back.']);
        }
        $file = $request->file('photo');
        if (! ($file instanceof UploadedFile) || ! $file->isValid()) {
            throw ValidationException::withMessages([
                "photo_{$side}" => 'No whole picture arrived. Choose a JPEG, PNG or WebP of at most 12 MB.',
            ]);
        }
        try {
            PhotoStore::keep($card, $side, $file->getPathname(), $file->getClientOriginalName(), by: Person::of($request));
        } catch (NotAPhoto $fault) {
            throw ValidationException::withMessages(["photo_{$side}" => $fault->getMessage()]);
        }

        return redirect("/intake/{$card->tag}");
    }

    public function show(Photo $photo): Response
    {
        return response($photo->jpeg ?? abort(404), 200, ['Content-Type' => 'image/jpeg']);
    }
}
