<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Cards\Card;
use App\Models\Kit\CameraMode;
use App\Shoot\ShootBook;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Collection;
use Illuminate\Validation\ValidationException;
use Tally\Quantity\NotAQuantity;
use Tally\Shoot\Recording;
use Tally\Shoot\Whole\Count;
use Tally\Shoot\Whole\Packing;
use Tally\Shoot\Whole\Question;
use Tally\Shoot\Whole\Wanted;

/** A whole shoot: days, how often cards come home, and what each camera records. */
class AskShoot extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'days' => ['nullable', 'integer', 'min:1', 'max:'.Question::MOST_DAYS],
            'home' => ['nullable', 'integer', 'min:1', 'max:'.Question::MOST_DAYS],
            'extra' => ['nullable', 'numeric', 'min:0', 'max:100'],
            'cards' => ['nullable', 'array', 'max:'.ShootBook::MOST_CARDS],
            'cards.*' => ['nullable', 'string', 'max:20'],
            'wanted' => ['nullable', 'array', 'max:'.Question::MOST_WANTED],
            'wanted.*' => ['array'],
            'wanted.*.mode' => ['bail', 'required', 'integer', 'exists:camera_modes,id'],
            'wanted.*.daily' => ['nullable', 'string', 'max:40'],
            'wanted.*.days' => ['nullable', 'string', 'max:100'],
            'wanted.*.spare' => ['nullable', 'in:0,1'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'days' => 'The days were “:input”: give a whole number from 1 to '.Question::MOST_DAYS.'.',
            'home' => 'How often cards come home was “:input”: give every how many days, from 1 to '.Question::MOST_DAYS.'.',
            'extra' => 'What is planned on top was “:input”: give percent, from 0 to 100.',
            'cards.array' => 'The cards were not sent as a list of at most '.ShootBook::MOST_CARDS.'. Tick fewer.',
            'cards.max' => 'The cards were not sent as a list of at most '.ShootBook::MOST_CARDS.'. Tick fewer.',
            'cards.*' => 'A card was not sent as a tag. Tick those that may go along.',
            'wanted.array' => 'What is recorded was not sent as a list of at most '.Question::MOST_WANTED.' rows.',
            'wanted.max' => 'What is recorded are more than '.Question::MOST_WANTED.' rows. Take some out.',
            'wanted.*' => 'A row of what is recorded was not sent as mode, amount and days.',
            'wanted.*.mode' => 'This mode is no longer in the kit. Choose another one.',
            'wanted.*.daily' => 'How much is recorded a day was not sent as text. Write it, such as 3 h.',
            'wanted.*.days' => 'The days were not sent as text. Write them, such as 1-3, 5; or leave it empty for every day.',
            'wanted.*.spare' => 'Whether it has a spare was “:input”. Say yes or no.',
        ];
    }

    public function days(): int
    {
        return $this->integer('days', 1);
    }

    public function home(): int
    {
        return $this->integer('home', 1);
    }

    public function extra(): string
    {
        return $this->filled('extra') ? $this->string('extra')->value() : (string) (100 * Question::EXTRA);
    }

    /** @return list<array{mode: string, daily: string, days: string, spare: bool}> as it was typed */
    public function rows(): array
    {
        $modes = CameraMode::query()->whereKey($this->collect('wanted.*.mode')->all())->pluck('records', 'id');
        $rows = [];
        foreach ((array) $this->input('wanted', []) as $row) {
            $row = (array) $row;
            $text = fn (string $key): string => is_scalar($row[$key] ?? null) ? trim((string) $row[$key]) : '';
            $isRelay = ($modes[(int) $text('mode')] ?? null) === Recording::Relay;
            $spare = $text('spare') === '' ? $isRelay : $text('spare') === '1';
            $rows[] = ['mode' => $text('mode'), 'daily' => $text('daily'), 'days' => $text('days'), 'spare' => $spare];
        }

        return $rows;
    }

    /** @return list<string> */
    public function ticked(): array
    {
        return array_values(array_filter((array) $this->input('cards', []), is_string(...)));
    }

    /** @return Collection<int, Card> those that were ticked, or all; in order of their tags, at most MOST_CARDS */
    public function cards(): Collection
    {
        $tags = $this->ticked();

        return Card::query()
            ->whereNull('retired_on')
            ->when($tags !== [], fn ($query) => $query->whereIn('tag', $tags))
            ->orderBy('tag')
            ->limit(ShootBook::MOST_CARDS)
            ->get()
            ->toBase();
    }

    /** @throws ValidationException where a row cannot be read */
    public function packing(): Packing
    {
        $extra = (float) $this->extra() / 100;

        return Packing::of(ShootBook::question($this->days(), $this->home(), $extra, $this->wanted(), cards: $this->cards()));
    }

    /** @return list<Wanted> rows without an amount are not asked for yet */
    private function wanted(): array
    {
        $modes = CameraMode::query()
            ->with(['camera.slots', 'calibrations'])
            ->whereKey(array_column($this->rows(), 'mode'))
            ->get()
            ->keyBy('id');
        $wanted = [];
        foreach ($this->rows() as $at => $row) {
            $mode = $modes[(int) $row['mode']] ?? null;
            $camera = $mode === null ? null : ShootBook::camera($mode);
            if ($camera === null) {
                throw ValidationException::withMessages([
                    "wanted.{$at}.mode" => 'This camera has no slots in the kit. Say what they speak.',
                ]);
            }
            try {
                $daily = Count::of($camera->modes[0])->read($row['daily']);
                $days = $row['days'] === '' ? range(1, $this->days()) : self::daysOf($row['days'], $this->days());
            } catch (NotAQuantity $fault) {
                throw ValidationException::withMessages(["wanted.{$at}.daily" => $fault->getMessage()]);
            }
            if ($days === null) {
                throw ValidationException::withMessages([
                    "wanted.{$at}.days" => "The days were “{$row['days']}”: write numbers from 1 to {$this->days()}, such as 1-3, 5.",
                ]);
            }
            if ($daily > 0) {
                $wanted[] = new Wanted($camera, $camera->modes[0], $daily, $days, hasSpare: $row['spare']);
            }
        }

        return $wanted;
    }

    /** @return list<int>|null null where they are none of the shoot */
    private static function daysOf(string $text, int $of): ?array
    {
        $days = [];
        foreach (explode(',', $text) as $part) {
            if (preg_match('/^\s*(\d{1,2})\s*(?:[-–]\s*(\d{1,2})\s*)?$/u', $part, $found) !== 1) {
                return null;
            }
            [$from, $to] = [(int) $found[1], (int) ($found[2] ?? $found[1])];
            if ($from < 1 || $to > $of || $to < $from) {
                return null;
            }
            array_push($days, ...range($from, $to));
        }

        return array_values(array_unique($days));
    }
}
