<?php

declare(strict_types=1);

namespace App\Kit;

use App\Models\Kit\Camera;
use App\Models\Kit\CameraSlot;
use App\Rules\DifferentNames;
use Tally\Label\Bus;

/** Cameras: their slots, and the media each accepts. */
final readonly class Cameras implements KitSection
{
    public function list(): KitListProps
    {
        return new KitListProps(
            'cameras',
            'Cameras',
            'camera',
            array_values(
                Camera::query()
                    ->with('slots')
                    ->orderBy('tag')
                    ->get()
                    ->map(
                        fn (Camera $camera): KitItemProps => new KitItemProps(
                            $camera->tag,
                            $camera->tag,
                            $camera->name,
                            array_values(
                                $camera->slots
                                    ->map(
                                        fn (CameraSlot $slot): string => "{$slot->name}: ".
                                            $slot->buses
                                                ->map(fn (Bus $bus): string => "{$bus->forms()[0]->label()} {$bus->label()}")
                                                ->implode(', '),
                                    )
                                    ->all(),
                            ),
                            ceilings: [],
                            trouble: null,
                        ),
                    )
                    ->all(),
            ),
        );
    }

    /** @return list<ChoiceProps> all of them, by tag */
    public static function choices(): array
    {
        return array_values(
            Camera::query()
                ->orderBy('tag')
                ->get()
                ->map(fn (Camera $camera): ChoiceProps => new ChoiceProps((string) $camera->id, "{$camera->tag} {$camera->name}", []))
                ->all(),
        );
    }

    public function form(?string $key): ?KitFormProps
    {
        $camera = $key === null ? null : Camera::query()->with('slots')->where('tag', $key)->first();

        return $key !== null && $camera === null
            ? null
            : new KitFormProps(
                'cameras',
                'camera',
                $camera?->tag,
                $camera === null ? 'A new camera' : "{$camera->tag} {$camera->name}",
                fields: [
                    Field::figures('tag', 'Tag', $camera->tag ?? '', 'C5'),
                    Field::text('name', 'What it is', $camera->name ?? '', 'body, and where it works'),
                ],
                parts: new KitPartsProps(
                    'slots',
                    'Slots',
                    'slot',
                    self::slot(null),
                    rows: $camera === null
                        ? [new KitRowProps(0, self::slot(null))]
                        : array_values(
                            $camera->slots->map(fn (CameraSlot $slot): KitRowProps => new KitRowProps($slot->id, self::slot($slot)))->all(),
                        ),
                ),
            );
    }

    public function rules(?string $key): array
    {
        return [
            'tag' => KitRules::tag('cameras', $key),
            'name' => KitRules::name(),
            'slots' => ['array', 'max:40', new DifferentNames('Two slots have the same name. Tell them apart.')],
            'slots.*.name' => KitRules::name(60),
            'slots.*.buses' => KitRules::buses(),
        ];
    }

    public function messages(): array
    {
        return [
            ...KitRules::empty('name', 'The name is empty. Write what it is.'),
            'slots.array' => 'The slots were not sent as a list of at most 40.',
            'slots.max' => 'The slots were not sent as a list of at most 40.',
            ...KitRules::empty('slots.*.name', 'The slot has no name. Write which one it is, such as A.'),
            'slots.*.buses.required' => 'Tick the media that this slot accepts.',
            'slots.*.buses.array' => 'Tick the media that this slot accepts.',
        ];
    }

    public function save(?string $key, TypedGear $typed): string
    {
        $camera = $key === null ? new Camera() : Camera::query()->where('tag', $key)->firstOrFail();
        $camera->forceFill(['tag' => $typed->tag(), 'name' => $typed->text('name')])->save();
        $camera->slots()->delete();
        foreach ($typed->parts('slots') as $slot) {
            $camera->slots()->create(['name' => $slot->text('name'), 'buses' => $slot->several('buses', Bus::class)]);
        }

        return $camera->tag;
    }

    public function delete(string $key): void
    {
        Camera::query()->where('tag', $key)->firstOrFail()->delete();
    }

    /** @return list<KitFieldProps> */
    private static function slot(?CameraSlot $slot): array
    {
        return [
            Field::text('name', 'Slot', $slot->name ?? '', 'A'),
            Field::buses('Media it accepts', $slot === null ? [] : array_values($slot->buses->all())),
        ];
    }
}
