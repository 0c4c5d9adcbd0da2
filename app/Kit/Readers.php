<?php

declare(strict_types=1);

namespace App\Kit;

use App\Ledger\IncidentBook;
use App\Models\Kit\Cable;
use App\Models\Kit\Reader;
use App\Models\Kit\ReaderSlot;
use App\Rules\DifferentNames;
use App\Rules\Text;
use Tally\Chain\Link;
use Tally\Label\Bus;

/**
 * Readers: slots with the buses they speak, the lanes they share, and the link to the host.
 *
 * @phpstan-import-type CeilingProps from Field
 */
final readonly class Readers implements KitSection
{
    public function list(): KitListProps
    {
        $suspects = IncidentBook::suspects();
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
                            ceilings: self::ceilings($reader),
                            trouble: self::suspected($suspects[$reader->tag] ?? []) ?? self::trouble($reader->troubles_count ?? 0),
                        ),
                    )
                    ->all(),
            ),
        );
    }

    /** @param  list<string>  $cards  that it is named with */
    private static function suspected(array $cards): ?string
    {
        return $cards === []
            ? null
            : 'Suspected itself: named with trouble of '.implode(', ', $cards).'. Try those cards in another reader.';
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
            fields: [
                Field::figures('tag', 'Tag', $reader->tag ?? '', 'R7'),
                Field::text('name', 'What it is', $reader->name ?? '', 'maker and model'),
                Field::link('uplink', 'Link to the host', $reader?->uplink),
                new KitFieldProps(
                    'cable_id',
                    'Cable it hangs on',
                    'choice',
                    [(string) $reader?->cable_id],
                    choices: $cables,
                    none: 'none of the house’s',
                ),
                new KitFieldProps(
                    'camera',
                    'Kind',
                    'choice',
                    [$reader?->camera === true ? '1' : '0'],
                    choices: [new ChoiceProps('0', 'a card reader', []), new ChoiceProps('1', 'a camera used as its own reader', [])],
                ),
                ...Field::measured($reader?->measured, $reader?->measured_how),
            ],
            parts: new KitPartsProps(
                'slots',
                'Slots',
                'slot',
                self::slot(null),
                rows: $reader === null
                    ? [new KitRowProps(0, self::slot(null))]
                    : array_values(
                        $reader->slots->map(fn (ReaderSlot $slot): KitRowProps => new KitRowProps($slot->id, self::slot($slot)))->all(),
                    ),
            ),
        );
    }

    public function rules(?string $key): array
    {
        return [
            'tag' => KitRules::tag('readers', $key),
            'name' => KitRules::name(),
            'uplink' => KitRules::link(),
            'cable_id' => ['bail', 'nullable', 'integer', 'exists:cables,id'],
            'camera' => ['nullable', 'in:0,1'],
            ...KitRules::measured(),
            'slots' => [
                'bail',
                'required',
                'array',
                'max:40',
                new DifferentNames('Two slots have the same name. Tell them apart, such as left and right.'),
            ],
            'slots.*.name' => KitRules::name(60),
            'slots.*.buses' => KitRules::buses(),
            'slots.*.lane' => ['nullable', Text::upTo(20)],
            'slots.*.matches' => ['nullable', Text::upTo(60)],
            'slots.*.adapter_id' => ['bail', 'nullable', 'integer', 'exists:adapters,id'],
        ];
    }

    public function messages(): array
    {
        return [
            ...KitRules::empty('name', 'The name is empty. Write what it is, such as its maker and model.'),
            'uplink' => 'The link “:input” is not one of the list. Choose one.',
            'cable_id' => 'This cable is no longer in the kit. Choose another one.',
            'camera' => 'Whether it is a camera was “:input”. Choose one of the list.',
            'slots.array' => 'The slots were not sent as a list of at most 40.',
            'slots.max' => 'The slots were not sent as a list of at most 40.',
            'slots.required' => 'A reader without a slot reads nothing. Add one.',
            ...KitRules::empty('slots.*.name', 'The slot has no name. Write which one it is, such as left.'),
            'slots.*.buses.required' => 'Tick the buses that this slot speaks.',
            'slots.*.adapter_id' => 'This adapter is no longer in the kit. Choose another one.',
            'slots.*.buses.array' => 'Tick the buses that this slot speaks.',
        ];
    }

    public function save(?string $key, TypedGear $typed): string
    {
        $reader = $key === null ? new Reader() : Reader::query()->where('tag', $key)->firstOrFail();
        $reader
            ->forceFill([
                'tag' => $typed->tag(),
                'name' => $typed->text('name'),
                'uplink' => $typed->text('uplink'),
                'cable_id' => $typed->id('cable_id'),
                'camera' => $typed->isSo('camera'),
                ...$typed->measured(),
            ])
            ->save();
        $reader->slots()->delete();
        foreach ($typed->parts('slots') as $i => $slot) {
            $lane = $slot->text('lane') === '' ? chr(65 + $i) : strtoupper($slot->text('lane'));
            $reader->slots()->create([
                'name' => $slot->text('name'),
                'buses' => $slot->several('buses', Bus::class),
                'lane' => $lane,
                'matches' => $slot->text('matches') === '' ? null : $slot->text('matches'),
                'adapter_id' => $slot->id('adapter_id'),
            ]);
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
            fn (Bus $bus): array => Field::ceiling(new Link("{$bus->label()} bus", $bus->ceiling())),
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

    private static function trouble(int $times): ?string
    {
        return match ($times) {
            0 => null,
            1 => 'A card sat badly in it once.',
            default => "Cards sat badly in it {$times} times.",
        };
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
                        ($slot->matches === null ? '' : ", double rate for cards of {$slot->matches}").
                        ($slot->adapter === null ? '' : ", adapter {$slot->adapter->tag} in it").
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
            Field::text('matches', 'Its double rate is for cards of', $slot->matches ?? '', 'maker; empty where nobody knows'),
            new KitFieldProps(
                'adapter_id',
                'Adapter in it',
                'choice',
                [(string) $slot?->adapter_id],
                choices: Adapters::choices(),
                none: 'none',
            ),
            Field::buses('Buses and host modes it speaks', $slot === null ? [] : array_values($slot->buses->all())),
        ];
    }
}
