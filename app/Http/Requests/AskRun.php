<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Stations\Slot;
use App\Models\Stations\Station;
use App\Rules\Quantity;
use App\Runs\Ordering\RunOrder;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Illuminate\Validation\Validator;
use Tally\Probe\PassOrder;
use Tally\Probe\Screen\ScreenPlan;
use Tally\Probe\SmallFiles;
use Tally\Probe\SpeedPlan;
use Tally\Probe\UnusablePlan;
use Tally\Quantity\Bytes;
use Tally\Quantity\Span;
use Tally\Record\FilesParameters;
use Tally\Record\Parameters;
use Tally\Record\ProofParameters;
use Tally\Record\RunKind;
use Tally\Record\SizeParameters;
use Tally\Record\SpeedParameters;
use Tally\Simulated\SimulatedChoice;

/** A run as ordered on a page. */
final class AskRun extends FormRequest
{
    /** The least that is proven or written at length. Bytes. */
    private const LEAST = 1_000_000;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'kind' => [
                'required',
                Rule::in([
                    RunKind::Speed->value,
                    RunKind::Sustained->value,
                    RunKind::Files->value,
                    RunKind::Proof->value,
                    RunKind::Screen->value,
                ]),
            ],
            'slot' => ['required', 'integer'],
            'size' => ['nullable', Quantity::size()],
            'runs' => ['nullable', 'integer', 'min:1', 'max:'.SpeedPlan::MOST_RUNS],
            'from' => ['nullable', Quantity::amount()],
            'block' => ['nullable', Quantity::size()],
            'order' => ['nullable', Rule::enum(PassOrder::class)],
            'warm_ups' => ['nullable', 'integer', 'min:0', 'max:'.SpeedPlan::MOST_WARM_UPS],
            'pause' => ['nullable', Quantity::span()],
            'files' => ['nullable', 'integer', 'min:2', 'max:10000'],
            'beside' => ['nullable', 'string', 'max:200'],
            'points' => ['nullable', 'integer', 'min:'.ScreenPlan::LEAST, 'max:'.ScreenPlan::MOST],
            'whole_map' => ['nullable', 'boolean'],
            'reinserted' => ['nullable', 'boolean'],
            'tag' => ['nullable', 'string', 'max:80'],
            'by' => ['nullable', 'string', 'max:80'],
            'why' => ['nullable', 'string', 'max:300'],
            'lost' => ['nullable', 'string', 'max:300'],
            'shown' => ['nullable', 'string', 'max:40'],
            'stand_in' => ['nullable', Rule::enum(SimulatedChoice::class)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'kind' => 'What to run was “:input”: a speed run, a sustained run, small files, a full proof or a quick screen can be ordered.',
            'slot' => 'Choose the slot that the card is in.',
            'runs' => 'The number of runs was “:input”: give a whole number from 1 to 50.',
            'order' => 'The order was “:input”. Choose one of the list.',
            'warm_ups' => 'The number of warm-ups was “:input”: give a whole number from 0 to 5.',
            'files' => 'The number of files was “:input”: give a whole number from 2 to 10000.',
            'beside' => 'What runs beside it is longer than 200 characters. Name the other card.',
            'points' => 'The number of places was “:input”: give a whole number from '.ScreenPlan::LEAST.' to '.ScreenPlan::MOST.'.',
            'whole_map' => 'Whether the whole map is wanted was “:input”: say yes or no.',
            'reinserted' => 'Whether the card was taken out was “:input”: say yes or no.',
            'tag' => 'What was typed is longer than a tag. Type the tag of this card.',
            'by' => 'The name is longer than 80 characters. Write a shorter one.',
            'why' => 'The reason is longer than 300 characters. Shorten it.',
            'lost' => 'Why it may be lost is longer than 300 characters. Shorten it.',
            'shown' => 'Which medium the page showed was “:input”: load the page again.',
            'stand_in' => 'The stand-in “:input” is not on the shelf. Choose one of the list.',
        ];
    }

    /** @return list<callable(Validator): void> */
    public function after(): array
    {
        return [
            function (Validator $validator): void {
                if ($validator->errors()->isNotEmpty()) {
                    return;
                }
                if ($this->kind() !== RunKind::Speed) {
                    if (! $this->size()->isZero() && $this->size()->count < self::LEAST) {
                        $validator
                            ->errors()
                            ->add(
                                'size',
                                "{$this->size()->decimal()} is too little to tell anything of a card. Give 1 MB or more, or leave ".
                                'it empty for all there is.',
                            );
                    }

                    return;
                }
                try {
                    $this->plan();
                } catch (UnusablePlan $fault) {
                    $validator->errors()->add($fault->part->value, $fault->getMessage());
                }
            },
        ];
    }

    public function kind(): RunKind
    {
        return RunKind::from($this->string('kind')->value());
    }

    /** @throws ValidationException when the slot is not one of this station */
    public function slot(Station $station): Slot
    {
        return $station->slot($this->integer('slot'));
    }

    /** @throws ValidationException when the slot is not one of this station */
    public function ordered(Station $station, ?string $by): RunOrder
    {
        $beside = trim($this->string('beside')->value());

        return new RunOrder(
            $this->slot($station),
            $this->kind(),
            $this->parameters(),
            SimulatedChoice::tryFrom($this->string('stand_in')->value()),
            by: $this->filled('by') ? trim($this->string('by')->value()) : $by,
            beside: $beside === '' ? null : $beside,
            shown: $this->filled('shown') ? $this->string('shown')->value() : null,
            lost: $this->filled('lost') ? trim($this->string('lost')->value()) : null,
        );
    }

    /** @throws UnusablePlan when a part of it cannot be */
    public function plan(): SpeedPlan
    {
        $text = fn (string $field, string $default): string => $this->filled($field) ? $this->string($field)->value() : $default;

        return new SpeedPlan(
            Bytes::parse($text('size', '1 GB'), 'GB'),
            $this->integer('runs', 5),
            Bytes::parse($text('from', '0'), 'GB'),
            $this->filled('block') ? Bytes::parse($text('block', '1'), 'MiB') : null,
            order: PassOrder::tryFrom($this->string('order')->value()) ?? PassOrder::Alternating,
            warmUps: $this->integer('warm_ups'),
            pause: Span::parse($text('pause', '0')),
        );
    }

    /** How much a proof or a sustained run takes: nothing for all there is. */
    public function size(): Bytes
    {
        return Bytes::parse($this->filled('size') ? $this->string('size')->value() : '0', 'GB');
    }

    private function parameters(): Parameters
    {
        $size = $this->size();
        $asked = $size->isZero() ? null : $size;
        $text = fn (string $field): ?string => $this->filled($field) ? trim($this->string($field)->value()) : null;

        return match ($this->kind()) {
            RunKind::Speed => new SpeedParameters($this->plan()),
            RunKind::Files => new FilesParameters(
                $this->integer('files', SmallFiles::FILES),
                max(1, $this->integer('runs', SmallFiles::ROUNDS)),
            ),
            RunKind::Proof, RunKind::Screen => new ProofParameters(
                $asked,
                $this->boolean('whole_map'),
                points: $this->integer('points', ScreenPlan::POINTS),
                reinserted: $this->boolean('reinserted'),
                tag: $text('tag'),
                why: $text('why'),
            ),
            default => new SizeParameters($asked),
        };
    }
}
