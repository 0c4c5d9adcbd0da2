<?php

declare(strict_types=1);

namespace App\Kit;

use App\Models\Kit\Camera;
use App\Models\Kit\CameraSlot;
use App\Props\Kit\KitFieldProps;
use App\Props\Kit\KitFormProps;
use App\Props\Kit\KitItemProps;
use App\Props\Kit\KitListProps;
use App\Props\Kit\KitPartsProps;
use App\Props\Kit\KitRowProps;
use Tally\Label\Bus;

/** Cameras: their slots, and the media each accepts. */
final readonly class CameraBook implements Book
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
                            [],
                            0,
                        ),
                    )
                    ->all(),
            ),
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
                [
                    Field::figures('tag', 'Tag', $camera->tag ?? '', 'C5'),
                    Field::text('name', 'What it is', $camera->name ?? '', 'body, and where it works'),
                ],
                new KitPartsProps(
                    'slots',
                    'Slots',
                    'slot',
                    self::slot(null),
                    $camera === null
                        ? [new KitRowProps(0, self::slot(null))]
                        : array_values(
                            $camera->slots->map(fn (CameraSlot $slot): KitRowProps => new KitRowProps($slot->id, self::slot($slot)))->all(),
                        ),
                ),
            );
    }

    public function save(?string $key, Input $input): string
    {
        $camera = $key === null ? new Camera() : Camera::query()->where('tag', $key)->firstOrFail();
        $columns = ['tag' => $input->tag(Camera::class, $key), 'name' => $input->text('name', 80, 'The name is empty. Write what it is.')];
        $slots = [];
        foreach ($input->parts('slots') as $part) {
            $slots[] = [
                'name' => $part->text('name', 60, 'The slot has no name. Write which one it is, such as A.'),
                'buses' => $part->buses('buses', 'Tick the media that this slot accepts.'),
            ];
            $input->takeErrorsOf($part);
        }
        $names = array_column($slots, 'name');
        if (count(array_unique($names)) !== count($names)) {
            $input->wrong('slots', 'Two slots have the same name. Tell them apart.');
        }
        $input->check();
        $camera->forceFill($columns)->save();
        $camera->slots()->delete();
        foreach ($slots as $slot) {
            CameraSlot::query()->create(['camera_id' => $camera->id, ...$slot]);
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
