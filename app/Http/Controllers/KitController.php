<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Person;
use App\Http\Taken;
use App\Kit\Cameras;
use App\Kit\ChoiceProps;
use App\Kit\DriveRecord;
use App\Kit\KitFormProps;
use App\Kit\KitKind;
use App\Kit\KitListProps;
use App\Kit\Readers;
use App\Kit\TypedGear;
use App\Models\Cards\Card;
use App\Models\Kit\Reader;
use App\Models\When;
use App\Pages\House\BodySheet;
use App\Pages\House\FitsPage;
use App\Pages\House\KitItemPage;
use App\Pages\House\KitPage;
use App\Pages\Page;
use Illuminate\Database\QueryException;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Tally\Shoot\BodyAnswer;

final readonly class KitController
{
    public function index(): Page
    {
        $lists = array_map(fn (KitKind $kind): KitListProps => $kind->section()->list(), KitKind::cases());

        $said = session('said');

        return new KitPage(lists: $lists, said: is_string($said) ? $said : '');
    }

    public function sheet(Request $request, ?Card $card = null): Page
    {
        $isOne = $card?->exists === true;

        return new FitsPage(
            sheet: $isOne ? KitPage::ofCard($card) : KitPage::ofAll(),
            bodies: $isOne ? BodySheet::ofCard($card) : BodySheet::ofAll(),
            cameras: Cameras::choices(),
            answers: array_map(fn (BodyAnswer $one): ChoiceProps => new ChoiceProps($one->value, $one->label(), []), BodyAnswer::cases()),
            person: Person::of($request) ?? '',
            today: now()->format(When::ISO_DAY),
        );
    }

    /** An empty one, or what another one has, to be changed. */
    public function create(Request $request, KitKind $kind): Page
    {
        $like = $request->query('like');

        return $this->page($kind, null, is_string($like) ? $kind->section()->form($like)?->again() : null);
    }

    public function edit(KitKind $kind, string $key): Page
    {
        return $this->page($kind, $key);
    }

    public function store(Request $request, KitKind $kind): RedirectResponse
    {
        return $this->keep($request, $kind, null);
    }

    public function update(Request $request, KitKind $kind, string $key): RedirectResponse
    {
        return $this->keep($request, $kind, $key);
    }

    public function delete(KitKind $kind, string $key): RedirectResponse
    {
        $this->within(fn () => $kind->section()->delete($key));

        return redirect('/kit');
    }

    private function page(KitKind $kind, ?string $key, ?KitFormProps $filled = null): Page
    {
        $reader =
            $kind === KitKind::Readers && $key !== null
                ? Reader::query()
                    ->with(['slots', 'cable'])
                    ->where('tag', $key)
                    ->first()
                : null;

        return new KitItemPage(
            form: ($form = $filled ?? $kind->section()->form($key) ?? abort(404)),
            state: $form->state(),
            ceilings: $reader === null ? [] : Readers::ceilings($reader),
            sightings: $reader === null ? [] : KitPage::sightings($reader),
            trouble: $reader === null ? [] : KitPage::trouble($reader),
            found: $kind === KitKind::Drives && $key !== null ? DriveRecord::of($key) : [],
            care: $kind === KitKind::Drives && $key !== null ? DriveRecord::care($key, Person::of(request())) : null,
        );
    }

    private function keep(Request $request, KitKind $kind, ?string $key): RedirectResponse
    {
        $kept = $this->within(function () use ($request, $kind, $key): string {
            $seen = $request->input('state');
            if ($key !== null && $seen !== $kind->section()->form($key)?->state()) {
                throw ValidationException::withMessages([
                    'state' => is_string($seen)
                        ? 'Somebody else saved it after this page was loaded. Nothing of yours was saved yet.'
                        : 'Which state of it this corrects was not said, so that it might undo what somebody else saved. Load the '.
                            'page again.',
                ]);
            }

            $section = $kind->section();

            return $section->save($key, TypedGear::checked($section, $key, $request->all()));
        });

        return redirect("/kit/{$kind->value}/{$kept}");
    }

    /**
     * @template T
     *
     * @param  callable(): T  $act
     * @return T
     *
     * @throws ValidationException when something in the books hangs on what would be taken out
     */
    private function within(callable $act): mixed
    {
        try {
            return Taken::told('tag', fn () => DB::transaction(fn () => $act()));
        } catch (QueryException $fault) {
            // MariaDB 1451: a row that others refer to cannot be deleted.
            if (($fault->errorInfo[1] ?? null) === 1451) {
                throw ValidationException::withMessages([
                    'delete' => 'Something hangs on it: a slot of a station, a reader, a drive, a run, or what was seen in it. '.
                    'Nothing was changed.',
                ]);
            }
            throw $fault;
        }
    }
}
