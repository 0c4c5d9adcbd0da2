<?php

declare(strict_types=1);

namespace App\Kit;

use App\Models\Kit\Camera;
use App\Models\Kit\CameraMode;
use App\Models\Kit\ModeCalibration;
use App\Rules\Quantity;
use App\Shoot\ModeBook;
use App\Shoot\ModeWords;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Tally\Label\Form;
use Tally\Label\Mark;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;
use Tally\Shoot\Calibration;
use Tally\Shoot\Demand;
use Tally\Shoot\Mode;
use Tally\Shoot\ModeKind;
use Tally\Shoot\Recording;

/** Modes of cameras: what each writes, what the camera asks for, and how fast it really fills a card. */
final readonly class Modes implements KitSection
{
    public function list(): KitListProps
    {
        return new KitListProps(
            'modes',
            'Modes',
            'mode',
            array_values(
                CameraMode::query()
                    ->with(['camera', 'calibrations'])
                    ->orderBy('camera_id')
                    ->orderBy('id')
                    ->get()
                    ->map(
                        fn (CameraMode $mode): KitItemProps => new KitItemProps(
                            (string) $mode->id,
                            $mode->camera->tag,
                            $mode->name,
                            ModeWords::lines($mode->asMode()),
                            ceilings: [],
                            trouble: null,
                        ),
                    )
                    ->all(),
            ),
        );
    }

    public function form(?string $key): ?KitFormProps
    {
        $mode = $key === null ? null : CameraMode::query()->with(['camera', 'calibrations'])->find((int) $key);

        return $key !== null && $mode === null
            ? null
            : new KitFormProps(
                'modes',
                'mode',
                $mode === null ? null : (string) $mode->id,
                $mode === null ? 'A new mode' : "{$mode->camera->tag} {$mode->name}",
                fields: self::fields($mode),
                parts: new KitPartsProps(
                    'calibrations',
                    'How fast it really fills a card',
                    'reading',
                    self::calibration(null),
                    rows: array_map(
                        fn (ModeCalibration $one): KitRowProps => new KitRowProps($one->id, self::calibration($one)),
                        array_values($mode?->calibrations->all() ?? []),
                    ),
                ),
            );
    }

    /** @return list<KitFieldProps> */
    private static function fields(?CameraMode $mode): array
    {
        $cameras = Cameras::choices();
        $isStills = $mode?->shot !== null;

        return [
            new KitFieldProps('camera_id', 'Camera', 'choice', [(string) ($mode->camera_id ?? $cameras[0]->key ?? '')], choices: $cameras),
            Field::text('name', 'Mode', $mode->name ?? '', '4K 60, long-GOP'),
            self::choice('kind', 'Kind', ModeKind::cases(), $mode?->kind->value ?? ModeKind::LongGop->value),
            Field::figures('writes', 'Writes', $mode === null || $isStills ? '' : self::megabits($mode->writes), '240 Mb/s'),
            Field::figures('frames', 'Frames a second', $mode?->frames === null ? '' : (string) $mode->frames, '59.94'),
            Field::size('shot', 'Stills: one of them', $mode?->shot, '24.6 MB'),
            Field::figures('clip', 'Takes last at the most', $mode?->clip === null ? '' : Span::seconds($mode->clip)->print(), 'no limit'),
            self::choice('asks_mark', 'Asks for the class', Mark::cases(), $mode?->asks_mark->value ?? '', none: 'none'),
            new KitFieldProps('asks_guaranteed', 'Asks for a guaranteed medium', 'choice', [
                $mode?->asks_guaranteed === true ? '1' : '0',
            ], choices: [
                new ChoiceProps('0', 'no', []),
                new ChoiceProps('1', 'yes: VPG or E', []),
            ]),
            self::choice('asks_form', 'Asks for the form', Form::cases(), $mode?->asks_form->value ?? '', none: 'any that fits'),
            new KitFieldProps('refuses', 'Without it the camera', 'choice', [$mode?->refuses === false ? '0' : '1'], choices: [
                new ChoiceProps('1', 'refuses', []),
                new ChoiceProps('0', 'warns, and records', []),
            ]),
            self::choice('records', 'Records onto', Recording::cases(), $mode?->records->value ?? Recording::OneSlot->value),
            Field::figures('proxy_writes', 'Its proxies write', self::proxies($mode), '16 Mb/s'),
        ];
    }

    /** @param  list<ModeKind|Recording|Mark|Form>  $cases */
    private static function choice(string $name, string $label, array $cases, string $value, ?string $none = null): KitFieldProps
    {
        $called = fn (ModeKind|Recording|Mark|Form $one): string => $one instanceof Mark ? $one->value : $one->label();
        $choices = array_map(
            fn (ModeKind|Recording|Mark|Form $one): ChoiceProps => new ChoiceProps($one->value, $called($one), []),
            $cases,
        );

        return new KitFieldProps($name, $label, 'choice', [$value], choices: $choices, none: $none);
    }

    private static function proxies(?CameraMode $mode): string
    {
        return $mode?->proxy_writes === null ? '' : self::megabits($mode->proxy_writes);
    }

    private static function megabits(Rate $rate): string
    {
        return rtrim(rtrim(number_format($rate->megabits(), 4, '.', ''), '0'), '.').' Mb/s';
    }

    /** @return list<KitFieldProps> */
    private static function calibration(?ModeCalibration $one): array
    {
        return [
            new KitFieldProps('is_clip', 'By', 'choice', [$one?->is_clip === true ? '1' : '0'], choices: [
                new ChoiceProps('0', 'what the camera says is left', []),
                new ChoiceProps('1', 'a clip', []),
            ]),
            Field::size('bytes', 'Size of the card, or of the clip', $one?->bytes, '160 GB'),
            Field::figures('seconds', 'Length', $one === null ? '' : Span::seconds($one->seconds)->print(), '79 min'),
        ];
    }

    public function rules(?string $key): array
    {
        return [
            'camera_id' => ['bail', 'required', 'integer', 'exists:cameras,id'],
            'name' => KitRules::name(),
            'kind' => ['bail', 'required', Rule::enum(ModeKind::class)],
            'writes' => ['bail', 'nullable', 'required_without:shot', Quantity::cameraRate()],
            'frames' => ['bail', 'nullable', 'required_with:shot', 'numeric', 'gt:0', 'max:1000'],
            'shot' => ['bail', 'nullable', Quantity::size()],
            'clip' => ['bail', 'nullable', Quantity::span()],
            'asks_mark' => ['bail', 'nullable', Rule::enum(Mark::class)],
            'asks_guaranteed' => ['nullable', 'in:0,1'],
            'asks_form' => ['bail', 'nullable', Rule::enum(Form::class)],
            'refuses' => ['nullable', 'in:0,1'],
            'records' => ['bail', 'required', Rule::enum(Recording::class)],
            'proxy_writes' => ['bail', 'nullable', Quantity::cameraRate()],
            'calibrations' => ['array', 'max:40'],
            'calibrations.*.is_clip' => ['nullable', 'in:0,1'],
            'calibrations.*.bytes' => ['bail', 'required', Quantity::size()],
            'calibrations.*.seconds' => ['bail', 'required', Quantity::span()],
        ];
    }

    public function messages(): array
    {
        return [
            'camera_id' => 'This camera is no longer in the kit. Choose another one.',
            ...KitRules::empty('name', 'The mode has no name. Write it as the camera’s menu has it, such as 4K 60.'),
            'kind' => 'The kind “:input” is not one of the list. Choose one.',
            'writes.required_without' => 'What it writes is empty. Write it with its unit, such as 240 Mb/s; of stills, the size of one.',
            'frames.required_with' => 'How many stills a second is empty. Write it, such as 0.5 for one in 2 s.',
            'frames' => 'The frames a second were “:input”. A number above nothing and up to 1000 would do.',
            'asks_mark' => 'The class “:input” is not one of the list. Choose one, or none.',
            'asks_guaranteed' => 'Whether it asks for a guaranteed medium was “:input”. Choose one of the list.',
            'asks_form' => 'The form “:input” is not one of the list. Choose one, or any.',
            'refuses' => 'What the camera does without was “:input”. Choose one of the list.',
            'records' => 'What it records onto was “:input”. Choose one of the list.',
            'calibrations' => 'The readings were not sent as a list of at most 40.',
            'calibrations.*.is_clip' => 'What the reading is by was “:input”. Choose one of the list.',
            'calibrations.*.bytes.required' => 'The size is empty. Write that of the card or of the clip, such as 160 GB.',
            'calibrations.*.seconds.required' => 'The length is empty. Write it, such as 79 min or 4:42.',
        ];
    }

    public function save(?string $key, TypedGear $typed): string
    {
        $mode = $key === null ? new CameraMode() : CameraMode::query()->findOrFail((int) $key);
        $asMode = self::typed($typed);
        $complaint = $asMode->complaint();
        if ($complaint !== null) {
            $field = $asMode->clip !== null && $asMode->clip->seconds <= 0 ? 'clip' : 'writes';
            throw ValidationException::withMessages([$field => $complaint]);
        }
        $isTaken = CameraMode::query()
            ->where(['camera_id' => $typed->id('camera_id'), 'name' => $typed->text('name')])
            ->whereKeyNot($mode->id ?? 0)
            ->exists();
        if ($isTaken) {
            throw ValidationException::withMessages([
                'name' => "This camera has a mode “{$typed->text('name')}” already. Give this one another name.",
            ]);
        }
        ModeBook::keep(Camera::query()->findOrFail($typed->id('camera_id')), $asMode, $mode);

        return (string) $mode->id;
    }

    private static function typed(TypedGear $typed): Mode
    {
        $shot = $typed->text('shot') === '' ? null : Bytes::parse($typed->text('shot'), 'MB');
        $frames = $typed->text('frames') === '' ? null : (float) $typed->text('frames');
        $writes = $typed->text('writes');

        return new Mode(
            $typed->text('name'),
            $shot === null ? ModeKind::from($typed->text('kind')) : ModeKind::Stills,
            $shot === null ? Mode::rate($writes) : Rate::bytesPerSecond($shot->count * ($frames ?? 1.0)),
            $shot,
            frames: $frames,
            demand: new Demand(
                Mark::tryFrom($typed->text('asks_mark')),
                $typed->isSo('asks_guaranteed'),
                Form::tryFrom($typed->text('asks_form')),
                $typed->text('refuses') !== '0',
            ),
            recording: Recording::from($typed->text('records')),
            clip: $typed->text('clip') === '' ? null : Span::parse($typed->text('clip')),
            calibrations: array_map(function (TypedGear $one): Calibration {
                [$size, $length] = [Bytes::parse($one->text('bytes'), 'GB'), Span::parse($one->text('seconds'))];
                if ($length->seconds <= 0) {
                    throw ValidationException::withMessages(['calibrations' => 'A reading has no length. Write it, such as 79 min.']);
                }

                return $one->isSo('is_clip') ? Calibration::clip($size, $length) : Calibration::says($size, $length);
            }, $typed->parts('calibrations')),
            proxies: $typed->text('proxy_writes') === '' ? null : Mode::rate($typed->text('proxy_writes')),
        );
    }

    public function delete(string $key): void
    {
        CameraMode::query()->findOrFail((int) $key)->delete();
    }
}
