<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\FileAnswer;
use App\Http\Person;
use App\Http\Requests\AskShoot;
use App\Http\Requests\KeepShoot;
use App\Models\Shoot\Shoot;
use App\Pages\Page;
use App\Pages\Shoot\ShootPage;
use App\Shoot\PackingSheet;
use App\Shoot\PackingTable;
use App\Shoot\ShootBook;
use App\Tables\TableWriter;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response as HttpResponse;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/**
 * A whole shoot: which card goes where.
 */
final readonly class ShootController
{
    public function show(AskShoot $request): Page
    {
        $rows = array_map(
            fn (array $row): array => [
                'mode' => $row['mode'],
                'daily' => $row['daily'],
                'days' => $row['days'],
                'spare' => $row['spare'],
            ],
            $request->rows(),
        );

        return ShootPage::of(
            $request->packing(),
            (string) $request->home(),
            $request->extra(),
            $rows,
            ticked: $request->ticked(),
            person: Person::of($request),
        );
    }

    public function store(KeepShoot $request): RedirectResponse
    {
        $packing = $request->packing();
        if ($packing->places === []) {
            throw ValidationException::withMessages([
                'name' => 'Nothing is recorded on it yet. Say what each camera records, then keep it.',
            ]);
        }
        Person::remember($request->by());
        $shoot = ShootBook::keep($request->name(), $request->begins(), $packing, $request->by());

        return redirect("/fit/shoots/{$shoot->id}");
    }

    public function kept(Shoot $shoot): Page
    {
        return ShootPage::ofKept($shoot);
    }

    public function delete(Shoot $shoot): RedirectResponse
    {
        ShootBook::drop($shoot);

        return redirect('/fit/shoot');
    }

    public function sheet(AskShoot $request): HttpResponse
    {
        return FileAnswer::pdf('packing.pdf', PackingSheet::pdf($request->packing(), 'Packing list', null));
    }

    public function table(AskShoot $request): BinaryFileResponse
    {
        return FileAnswer::table('packing', TableWriter::Xlsx, PackingTable::rows($request->packing()));
    }

    public function keptSheet(Shoot $shoot): HttpResponse
    {
        return FileAnswer::pdf('packing.pdf', PackingSheet::pdf($shoot->packing(), $shoot->name, $shoot->begins));
    }

    public function keptTable(Shoot $shoot): BinaryFileResponse
    {
        return FileAnswer::table('packing', TableWriter::Xlsx, PackingTable::rows($shoot->packing()));
    }
}
