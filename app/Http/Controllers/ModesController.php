<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\FileAnswer;
use App\Shoot\ModeBook;
use App\Shoot\ModeTable;
use App\Tables\NotATable;
use App\Tables\TableProcess;
use App\Tables\TableWriter;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Tally\Shoot\Camera;
use Tally\Shoot\FitFile;
use Tally\Shoot\Written\WrittenFit;
use Tally\Value\NotUsable;
use Tally\Value\Values;

/** Cameras and their modes, read in and out as a table or as an open file. */
final readonly class ModesController
{
    /** Of a file of cameras. Bytes. */
    private const MOST = 2_000_000;

    public function export(string $format): JsonResponse|BinaryFileResponse
    {
        $cameras = ModeBook::cameras();
        if ($format === 'json') {
            return response()->json(
                Values::write(WrittenFit::ofCameras($cameras)),
                headers: ['Content-Disposition' => 'attachment; filename="modes.json"'],
                options: JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
            );
        }
        $writer = TableWriter::tryFrom($format) ?? abort(404);

        return FileAnswer::table('modes', $writer, ModeTable::rows($cameras));
    }

    /** All of it is taken, or nothing. */
    public function take(Request $request): RedirectResponse
    {
        $file = $request->file('modes');
        if (! ($file instanceof UploadedFile) || ! $file->isValid() || $file->getSize() > self::MOST) {
            self::refuse('No whole file arrived. Choose a CSV, XLSX, ODS or JSON of at most 2 MB, such as one that was read out here.');
        }
        try {
            $taken = ModeBook::take(self::read($file));
        } catch (NotUsable|NotATable $fault) {
            self::refuse("{$fault->getMessage()} Nothing was taken.");
        }

        return redirect('/kit')->with('said', $taken === 1 ? 'One mode was taken.' : "{$taken} modes were taken.");
    }

    /**
     * @return list<Camera>
     *
     * @throws NotUsable|NotATable
     */
    private static function read(UploadedFile $file): array
    {
        $begin = ltrim((string) file_get_contents($file->getPathname(), length: 200), "\xEF\xBB\xBF \t\r\n");
        if (! str_starts_with($begin, '{')) {
            return ModeTable::read(TableProcess::rows($file->getPathname(), $file->getClientOriginalName()));
        }
        $values = json_decode($file->getContent(), true);

        return FitFile::read(is_array($values) ? $values : throw NotUsable::field('file', $begin, 'it is no whole JSON.'))->cameras;
    }

    /** @throws ValidationException */
    private static function refuse(string $sentence): never
    {
        throw ValidationException::withMessages(['modes' => $sentence]);
    }
}
