<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Person;
use App\Kit\DriveChecks;
use App\Models\Kit\Drive;
use App\Models\Kit\DriveCheck;
use App\Models\When;
use App\Offload\Carrying\Standing;
use App\Rules\Text;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** A drive is held against its lists, goes out of service, or comes back. */
final readonly class DriveController
{
    public function verify(Request $request, Drive $drive): RedirectResponse
    {
        $request->validate(
            ['folder' => ['required', 'string', 'max:400'], 'by' => ['required', 'string', 'max:80']],
            [
                'folder' => 'Where it is mounted was left empty. Write its folder, such as /media/drive-1.',
                'by' => 'Nobody is named. Write who looks.',
            ],
        );
        $by = trim($request->string('by')->value());
        Person::remember($by);
        DriveChecks::order($drive, trim($request->string('folder')->value()), $by);

        return back();
    }

    public function stop(Drive $drive, DriveCheck $check): RedirectResponse
    {
        abort_unless($check->drive === $drive->tag, 404);
        DriveChecks::stop($check);

        return back();
    }

    /** What leans on it is not secured any more. */
    public function gone(Request $request, Drive $drive): RedirectResponse
    {
        $request->validate(
            ['why' => ['bail', 'required', 'string', Text::upTo(200)], 'by' => ['bail', 'required', 'string', 'max:80']],
            [
                'why.required' => 'No reason is given. Write why it goes, such as: lost, failed, sold.',
                'why.string' => 'The reason was not sent as text. Write why it goes.',
                'by' => 'Nobody is named. Write who says so.',
            ],
        );
        $by = trim($request->string('by')->value());
        Person::remember($by);
        $why = trim($request->string('why')->value());
        $drive->forceFill(['gone_on' => now()->format(When::ISO_DAY), 'gone_why' => $why, 'gone_by' => $by])->save();
        Standing::ofDrive($drive->tag);

        return back();
    }

    public function back(Drive $drive): RedirectResponse
    {
        $drive->forceFill(['gone_on' => null, 'gone_why' => null, 'gone_by' => null])->save();
        Standing::ofDrive($drive->tag);

        return back();
    }
}
