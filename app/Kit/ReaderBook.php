<?php

declare(strict_types=1);

namespace App\Kit;

use App\Models\Kit\Cable;
use App\Models\Kit\Reader;
use App\Models\Kit\ReaderSlot;
use App\Props\Kit\CeilingProps;
use App\Props\Kit\KitFieldProps;
use App\Props\Kit\KitFormProps;
use App\Props\Kit\KitItemProps;
use App\Props\Kit\KitListProps;
use App\Props\Kit\KitPartsProps;
use App\Props\Kit\KitRowProps;
use App\Props\Label\ChoiceProps;
use Tally\Chain\Link;
use Tally\Label\Bus;

/** Readers: slots with the buses they speak, the lanes they share, and the link to the host. */
final readonly class ReaderBook implements Book
{
    public function list(): KitListProps
    {
        $readers = Reader::query()
            ->with(['slots', 'cable'])
            ->withCount(['troubles'])
            ->orderBy('tag')
            ->get();

        return new KitListProps(
            'readers',
            'Readers',
            'reader',
            array_values(
                $readers
                    ->map(
                        fn (Reader $reader): KitItemProps => new KitItemProps(
                            $reader->tag,
                            $reader->tag,
                            $reader->name,
                            self::lines($reader),
                            self::ceilings($reader),
                            $reader->troubles_count ?? 0,
                        ),
                    )
                    ->all(),
            ),
        );
    }

    public function form(?string $key): ?KitFormProps
    {
        $reader = $key === null ? null : Reader::query()->with('slots')->where('tag', $key)->first();
        if ($key !== null && $reader === null) {
            return null;
        }
        $cables = array_values(
            Cable::query()
                ->orderBy('tag')
                ->get()
                ->map(
                    fn (Cable $cable): ChoiceProps => new ChoiceProps(
                        (string) $cable->id,
                        "{$cable->tag} {$cable->name}, {$cable->link->label()}",
                        [],
                    ),
                )
                ->all(),
        );

        return new KitFormProps(
            'readers',
            'reader',
            $reader?->tag,
            $reader === null ? 'A new reader' : "{$reader->tag} {$reader->name}",
            [
                Field::figures('tag', 'Tag', $reader->tag ?? '', 'R7'),
                Field::text('name', 'What it is', $reader->name ?? '', 'maker and model'),
                Field::link('uplink', 'Link to the host', $reader?->uplink),
                new KitFieldProps(
                    'cable_id',
                    'Cable it hangs on',
                    'choice',
                    [(string) $reader?->cable_id],
                    $cables,
                    none: 'none of the house’s',
                ),
                new KitFieldProps(
                    'camera',
                    'Kind',
                    'choice',
                    [$reader?->camera === true ? '1' : '0'],
                    [new ChoiceProps('0', 'a card reader', []), new ChoiceProps('1', 'a camera used as its own reader', [])],
                ),
                ...Field::measured($reader?->measured, $reader?->measured_how),
            ],
            new KitPartsProps(
                'slots',
                'Slots',
                'slot',
                self::slot(null),
                $reader === null
                    ? [new KitRowProps(0, self::slot(null))]
                    : array_values(
                        $reader->slots->map(fn (ReaderSlot $slot): KitRowProps => new KitRowProps($slot->id, self::slot($slot)))->all(),
                    ),
            ),
        );
    }

    public function save(?string $key, Input $input): string
    {
        $reader = $key === null ? new Reader() : Reader::query()->where('tag', $key)->firstOrFail();
        $cable = $input->text('cable_id', 20);
        if ($cable !== '' && ! Cable::query()->whereKey((int) $cable)->exists()) {
            $input->wrong('cable_id', 'This cable is no longer in the kit. Choose another one.');
        }
        $columns = [
            'tag' => $input->tag(Reader::class, $key),
            'name' => $input->text('name', 80, 'The name is empty. Write what it is, such as its maker and model.'),
            'uplink' => $input->link('uplink'),
            'cable_id' => $cable === '' ? null : (int) $cable,
            'camera' => $input->text('camera', 1) === '1',
            ...$input->measured(),
        ];
        $slots = [];
        foreach ($input->parts('slots') as $i => $part) {
            $slots[] = [
                'name' => $part->text('name', 60, 'The slot has no name. Write which one it is, such as left.'),
                'buses' => $part->buses('buses', 'Tick the buses that this slot speaks.'),
                'lane' => ($lane = $part->text('lane', 20)) === '' ? chr(65 + $i) : strtoupper($lane),
            ];
            $input->takeErrorsOf($part);
        }
        self::checkSlots($input, $slots);
        $input->check();
        $reader->forceFill($columns)->save();
        $reader->slots()->delete();
        foreach ($slots as $slot) {
            ReaderSlot::query()->create(['reader_id' => $reader->id, ...$slot]);
        }

        return $reader->tag;
    }

    public function delete(string $key): void
    {
        Reader::query()->where('tag', $key)->firstOrFail()->delete();
    }

    /** @return list<CeilingProps> of the fastest bus and of the way to the host */
    public static function ceilings(Reader $reader): array
    {
        $buses = array_map(
            fn (Bus $bus): CeilingProps => Field::ceiling(new Link("{$bus->label()} bus", $bus->ceiling())),
            $reader->buses(),
        );

        return [
            ...$buses,
            Field::ceiling($reader->asLink(), "uplink, {$reader->uplink->label()}"),
            ...$reader->cable === null
                ? []
                : [Field::ceiling($reader->cable->asLink(), "cable {$reader->cable->tag}, {$reader->cable->link->label()}")],
        ];
    }

    /** @param  list<array{name: string, buses: list<Bus>, lane: string}>  $slots */
    private static function checkSlots(Input $input, array $slots): void
    {
        $names = array_column($slots, 'name');
        if ($slots === []) {
            $input->wrong('slots', 'A reader without a slot reads nothing. Add one.');
        } elseif (count(array_unique($names)) !== count($names)) {
            $input->wrong('slots', 'Two slots have the same name. Tell them apart, such as left and right.');
        }
    }

    /** @return list<string> */
    private static function lines(Reader $reader): array
    {
        $lanes = $reader->slots->pluck('lane');

        return array_values(
            $reader->slots
                ->map(function (ReaderSlot $slot) use ($lanes): string {
                    $shared = $lanes->filter(fn (mixed $lane): bool => $lane === $slot->lane)->count() > 1;

                    return "{$slot->name}: ".
                        $slot->buses->map(fn (Bus $bus): string => $bus->label())->implode(', ').
                        ($lanes->count() < 2 ? '' : ($shared ? ", shares lane {$slot->lane}" : ", lane {$slot->lane} of its own"));
                })
                ->all(),
        );
    }

    /** @return list<KitFieldProps> */
    private static function slot(?ReaderSlot $slot): array
    {
        return [
            Field::text('name', 'Slot', $slot->name ?? '', 'left'),
            Field::figures('lane', 'Lane', $slot->lane ?? '', 'A; the same letter is shared'),
            Field::buses('Buses and host modes it speaks', $slot === null ? [] : array_values($slot->buses->all())),
        ];
    }
}
