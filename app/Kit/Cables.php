<?php

declare(strict_types=1);

namespace App\Kit;

use App\Models\Kit\Cable;
use App\Models\Kit\Reader;

/** Cables and what they are rated for: a fast device on a slow cable is a slow path. */
final readonly class Cables implements KitSection
{
    public function list(): KitListProps
    {
        $on = Reader::query()->whereNotNull('cable_id')->orderBy('tag')->get()->groupBy('cable_id');

        return new KitListProps(
            'cables',
            'Cables',
            'cable',
            array_values(
                Cable::query()
                    ->orderBy('tag')
                    ->get()
                    ->map(
                        fn (Cable $cable): KitItemProps => new KitItemProps(
                            $cable->tag,
                            $cable->tag,
                            $cable->name,
                            isset($on[$cable->id])
                                ? [$on[$cable->id]->map(fn (Reader $reader): string => $reader->tag)->implode(', ').' on it']
                                : [],
                            ceilings: [Field::ceiling($cable->asLink())],
                            trouble: null,
                        ),
                    )
                    ->all(),
            ),
        );
    }

    public function form(?string $key): ?KitFormProps
    {
        $cable = $key === null ? null : Cable::query()->where('tag', $key)->first();

        return $key !== null && $cable === null
            ? null
            : new KitFormProps(
                'cables',
                'cable',
                $cable?->tag,
                $cable === null ? 'A new cable' : "{$cable->tag} {$cable->name}",
                fields: [
                    Field::figures('tag', 'Tag', $cable->tag ?? '', 'K5'),
                    Field::text('name', 'What it is', $cable->name ?? '', 'colour, length'),
                    Field::link('link', 'Rated for', $cable?->link),
                    ...Field::measured($cable?->measured, $cable?->measured_how),
                ],
                parts: null,
            );
    }

    public function rules(?string $key): array
    {
        return ['tag' => KitRules::tag('cables', $key), 'name' => KitRules::name(), 'link' => KitRules::link(), ...KitRules::measured()];
    }

    public function messages(): array
    {
        return [
            ...KitRules::empty('name', 'The name is empty. Write how it can be told from the others.'),
            'link' => 'The link “:input” is not one of the list. Choose one.',
        ];
    }

    public function save(?string $key, TypedGear $typed): string
    {
        $cable = $key === null ? new Cable() : Cable::query()->where('tag', $key)->firstOrFail();
        $cable
            ->forceFill(['tag' => $typed->tag(), 'name' => $typed->text('name'), 'link' => $typed->text('link'), ...$typed->measured()])
            ->save();

        return $cable->tag;
    }

    public function delete(string $key): void
    {
        Cable::query()->where('tag', $key)->firstOrFail()->delete();
    }
}
