<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Cards\Card;
use App\Models\When;
use App\Offload\ShownPlan;
use App\Stations\StationFolders;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Date;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use InvalidArgumentException;
use Tally\Device\Fault\CannotCopy;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\Place;
use Tally\Offload\PlacedCard;
use Tally\Offload\Plan;
use Tally\Transfer\CopyPlaces;
use Tally\Transfer\FolderPattern;

/** A plan that is to be carried out: which one, what it is called, where its cards go. */
final class BeginOffload extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'plan' => ['nullable', 'string', 'max:40'],
            'as' => ['nullable', Rule::in(['shown'])],
            'name' => ['required', 'string', 'max:80'],
            'day' => ['required', 'date'],
            'pattern' => ['required', 'string', 'max:160'],
            'by' => ['required', 'string', 'max:80'],
            'real' => ['nullable', Rule::in(['0', '1', 'fault'])],
            'slots' => ['nullable', 'array'],
            'slots.*' => ['nullable', 'string', 'max:400'],
            'drives' => ['nullable', 'array'],
            'drives.*' => ['nullable', 'string', 'max:400'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'plan' => 'Which plan was shown was “:input”: load the page again.',
            'as' => 'Whether it is begun as it was shown was “:input”. Choose one of the two.',
            'name.required' => 'The shoot is empty. Write what this is, such as: Harbour.',
            'name.string' => 'The shoot is empty. Write what this is, such as: Harbour.',
            'name.max' => 'The shoot is longer than 80 characters. Write a shorter name.',
            'day' => 'The day was “:input”: write it as 2026-11-27.',
            'pattern' => 'Where it goes was “:input”: '.FolderPattern::HOUSE.' would do.',
            'real' => 'What it is carried out with was “:input”. Choose one of the list.',
            'by.required' => 'Nobody is named. Write who begins it.',
            'by.max' => 'The name is longer than 80 characters. Write a shorter one.',
            'slots' => 'Give a folder for each slot.',
            'drives' => 'Give a folder for each drive.',
            'slots.*' => 'A folder is a path such as /media/left.',
            'drives.*' => 'A folder is a path such as /media/drive-1.',
        ];
    }

    /** @throws ValidationException where no page showed it lately */
    public function shown(): ShownPlan
    {
        return ShownPlan::of($this->string('plan')->value());
    }

    /** @throws ValidationException where what it rests on has changed, and nobody chose yet */
    public function plan(ShownPlan $shown): Plan
    {
        return $shown->toCarryOut($this->input('as') === 'shown');
    }

    /**
     * @return array<string, string> tag → folder on each drive
     *
     * @throws ValidationException
     */
    public function folders(Plan $plan): array
    {
        $folders = [];
        try {
            $pattern = FolderPattern::of($this->string('pattern')->value());
            foreach ($plan->decision->cards as $card) {
                $folders[$card->tag] = $pattern->folder(
                    $this->string('name')->value(),
                    Date::parse($this->string('day')->value())->format(When::ISO_DAY),
                    $card->tag,
                );
            }
        } catch (InvalidArgumentException $fault) {
            throw ValidationException::withMessages(['pattern' => $fault->getMessage()]);
        }

        return $folders;
    }

    /**
     * Made-up copies of a real card would call its footage secured, and nothing of it would be copied.
     *
     * @throws ValidationException
     */
    private static function mustBeMadeUp(Plan $plan): void
    {
        $real = Card::query()
            ->whereIn('tag', array_map(fn (PlacedCard $card): string => $card->tag, $plan->decision->cards))
            ->whereNull('stand_in')
            ->orderBy('tag')
            ->pluck('tag');
        if ($real->isNotEmpty()) {
            throw ValidationException::withMessages([
                'real' => 'No made-up card: '.$real->implode(', ').'. Its footage would be called secured, and nothing would be copied. '.
                    'Choose real folders, or untick what is real.',
            ]);
        }
    }

    /**
     * @return array{slots: array<string, string>, drives: array<string, string>}|null null where all of it is made up
     *
     * @throws ValidationException where a folder is missing, or may not be written
     */
    public function places(Plan $plan): ?array
    {
        if ($this->input('real') !== '1') {
            self::mustBeMadeUp($plan);

            return null;
        }
        $allowed = StationFolders::allowed();
        $places = ['slots' => [], 'drives' => []];
        $asked = ['slots' => [], 'drives' => []];
        foreach ($plan->decision->cards as $card) {
            $asked['slots'][$card->slot] = true;
            $asked['drives'] += array_fill_keys($card->drives, true);
        }
        $wrong = [];
        foreach ($asked as $kind => $things) {
            $given = (array) $this->input($kind, []);
            foreach (array_keys($things) as $thing) {
                $path = is_string($given[$thing] ?? null) ? trim($given[$thing]) : '';
                if ($path === '') {
                    $such = $kind === 'slots' ? '/media/left' : '/media/drive-1';
                    $wrong["{$kind}.{$thing}"] = "Where {$thing} is mounted was left empty. Write its folder, such as {$such}.";
                } else {
                    try {
                        // A card need not be in yet: where it will be mounted is a folder like any other until then.
                        $kind === 'drives' ? $allowed->admitWithin($path) : $allowed->mustBeBelow($path);
                    } catch (UnusablePath $fault) {
                        $wrong["{$kind}.{$thing}"] = $fault->getMessage();
                    }
                }
                $places[$kind][$thing] = $path;
            }
        }
        foreach (array_keys(array_diff_key($places['slots'], array_unique($places['slots']))) as $twice) {
            $wrong["slots.{$twice}"] ??= "“{$places['slots'][$twice]}” is given twice. Each has a folder of its own.";
        }
        foreach ($plan->decision->cards as $card) {
            $wrong += self::together($card, $places);
        }

        return $wrong === [] ? $places : throw ValidationException::withMessages($wrong);
    }

    /**
     * Copies of a card lie on different devices, and none on its own: as far as that can be seen from here before anything is in.
     *
     * @param  array{slots: array<string, string>, drives: array<string, string>}  $places
     * @return array<string, string> field → sentence
     */
    private static function together(PlacedCard $card, array $places): array
    {
        $place = fn (string $path): ?Place => is_dir($path) ? Place::of($path) : null;
        $onto = array_filter(array_map(
            fn (string $path): ?Place => $place($path),
            array_intersect_key($places['drives'], array_flip($card->drives)),
        ));
        try {
            CopyPlaces::of($place($places['slots'][$card->slot] ?? ''), $onto)->mustBeApart();

            return [];
        } catch (CannotCopy $fault) {
            return ["drives.{$fault->path}" => $fault->getMessage()];
        }
    }

    /** Made up, one drive gives back something else than was written: to practise with. */
    public function hasFault(): bool
    {
        return $this->input('real') === 'fault';
    }
}
