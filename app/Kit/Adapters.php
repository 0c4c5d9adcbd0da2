<?php

declare(strict_types=1);

namespace App\Kit;

use App\Models\Kit\Adapter;
use App\Models\Kit\Reader;
use App\Models\Kit\ReaderSlot;
use Tally\Chain\Link;
use Tally\Label\Bus;

/** Adapters between a card and a slot, by the buses that they pass. */
final readonly class Adapters implements KitSection
{
    public function list(): KitListProps
    {
        $in = [];
        foreach (Reader::query()->with('slots')->orderBy('tag')->get() as $reader) {
            foreach ($reader->slots->filter(fn (ReaderSlot $slot): bool => $slot->adapter_id !== null) as $slot) {
                $in[$slot->adapter_id][] = "in {$reader->tag} {$slot->name}";
            }
        }

        return new KitListProps(
            'adapters',
            'Adapters',
            'adapter',
            array_values(
                Adapter::query()
                    ->orderBy('tag')
                    ->get()
                    ->map(
                        fn (Adapter $adapter): KitItemProps => new KitItemProps(
                            $adapter->tag,
                            $adapter->tag,
                            $adapter->name,
                            $in[$adapter->id] ?? ['in no slot'],
                            ceilings: array_values(
                                $adapter->buses
                                    ->map(
                                        fn (Bus $bus) => Field::ceiling(new Link("{$bus->label()} bus", $adapter->ceiling($bus))),
                                    )
                                    ->all(),
                            ),
                            trouble: null,
                        ),
                    )
                    ->all(),
            ),
        );
    }

    public function form(?string $key): ?KitFormProps
    {
        $adapter = $key === null ? null : Adapter::query()->where('tag', $key)->first();

        return $key !== null && $adapter === null
            ? null
            : new KitFormProps(
                'adapters',
                'adapter',
                $adapter?->tag,
                $adapter === null ? 'A new adapter' : "{$adapter->tag} {$adapter->name}",
                fields: [
                    Field::figures('tag', 'Tag', $adapter->tag ?? '', 'A2'),
                    Field::text('name', 'What it is', $adapter->name ?? '', 'SD sleeve, one row of contacts'),
                    Field::buses('Buses it passes', $adapter === null ? [] : array_values($adapter->buses->all())),
                    ...Field::measured($adapter?->measured, $adapter?->measured_how),
                ],
                parts: null,
            );
    }

    public function rules(?string $key): array
    {
        return [
            'tag' => KitRules::tag('adapters', $key),
            'name' => KitRules::name(),
            'buses' => KitRules::buses(),
            ...KitRules::measured(),
        ];
    }

    public function messages(): array
    {
        return [
            ...KitRules::empty('name', 'The name is empty. Write what it is, such as: SD sleeve, one row of contacts.'),
            'buses.required' => 'Tick the buses that it passes. One row of contacts passes no UHS-II.',
            'buses.array' => 'Tick the buses that it passes. One row of contacts passes no UHS-II.',
        ];
    }

    public function save(?string $key, TypedGear $typed): string
    {
        $adapter = $key === null ? new Adapter() : Adapter::query()->where('tag', $key)->firstOrFail();
        $adapter
            ->forceFill([
                'tag' => $typed->tag(),
                'name' => $typed->text('name'),
                'buses' => $typed->several('buses', Bus::class),
                ...$typed->measured(),
            ])
            ->save();

        return $adapter->tag;
    }

    public function delete(string $key): void
    {
        Adapter::query()->where('tag', $key)->firstOrFail()->delete();
    }

    /** @return list<ChoiceProps> */
    public static function choices(): array
    {
        return array_values(
            Adapter::query()
                ->orderBy('tag')
                ->get()
                ->map(fn (Adapter $adapter): ChoiceProps => new ChoiceProps((string) $adapter->id, "{$adapter->tag} {$adapter->name}", []))
                ->all(),
        );
    }
}
