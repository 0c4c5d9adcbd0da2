<?php

declare(strict_types=1);

namespace App\Kit;

use App\Models\Kit\Hub;
use App\Models\Kit\HubPort;
use App\Models\Kit\Port;
use App\Rules\DifferentNames;
use Illuminate\Support\Collection;
use Illuminate\Validation\Rule;

/** Hubs and docks: all that hangs on one shares its uplink. */
final readonly class Hubs implements KitSection
{
    public function list(): KitListProps
    {
        return new KitListProps(
            'hubs',
            'Hubs and docks',
            'hub',
            array_values(
                Hub::query()
                    ->with(['ports', 'port.host'])
                    ->orderBy('tag')
                    ->get()
                    ->map(
                        fn (Hub $hub): KitItemProps => new KitItemProps(
                            $hub->tag,
                            $hub->tag,
                            $hub->name,
                            [
                                $hub->port === null ? 'in no port' : "in {$hub->port->host->name}, {$hub->port->name}",
                                self::ports($hub->ports).' share its link',
                            ],
                            ceilings: [Field::ceiling($hub->asLink(), "link, {$hub->uplink->label()}")],
                            trouble: null,
                        ),
                    )
                    ->all(),
            ),
        );
    }

    public function form(?string $key): ?KitFormProps
    {
        $hub = $key === null ? null : Hub::query()->with('ports')->where('tag', $key)->first();
        $sockets = Port::query()
            ->with('host')
            ->get()
            ->sortBy(fn (Port $port): string => "{$port->host->name} {$port->name}")
            ->map(fn (Port $port): ChoiceProps => new ChoiceProps((string) $port->id, "{$port->host->name}, {$port->name}", []))
            ->all();

        return $key !== null && $hub === null
            ? null
            : new KitFormProps(
                'hubs',
                'hub',
                $hub?->tag,
                $hub === null ? 'A new hub or dock' : "{$hub->tag} {$hub->name}",
                fields: [
                    Field::figures('tag', 'Tag', $hub->tag ?? '', 'H2'),
                    Field::text('name', 'What it is', $hub->name ?? '', 'maker and model'),
                    Field::link('uplink', 'Link to the host', $hub?->uplink),
                    new KitFieldProps(
                        'port_id',
                        'Sits in',
                        'choice',
                        [(string) $hub?->port_id],
                        choices: array_values($sockets),
                        none: 'no port',
                    ),
                    ...Field::measured($hub?->measured, $hub?->measured_how),
                ],
                parts: new KitPartsProps(
                    'ports',
                    'Ports',
                    'port',
                    self::port(null),
                    rows: $hub === null
                        ? [new KitRowProps(0, self::port(null))]
                        : array_values(
                            $hub->ports->map(fn (HubPort $port): KitRowProps => new KitRowProps($port->id, self::port($port)))->all(),
                        ),
                ),
            );
    }

    public function rules(?string $key): array
    {
        return [
            'tag' => KitRules::tag('hubs', $key),
            'name' => KitRules::name(),
            'uplink' => KitRules::link(),
            'port_id' => ['bail', 'nullable', 'integer', 'exists:ports,id', Rule::unique('hubs', 'port_id')->ignore($key, 'tag')],
            ...KitRules::measured(),
            'ports' => ['bail', 'required', 'array', 'max:40', new DifferentNames('Two ports have the same name. Tell them apart.')],
            'ports.*.name' => KitRules::name(60),
            'ports.*.link' => KitRules::link(),
        ];
    }

    public function messages(): array
    {
        return [
            ...KitRules::empty('name', 'The name is empty. Write what it is, such as its maker and model.'),
            'uplink' => 'The link “:input” is not one of the list. Choose one.',
            'port_id.unique' => 'Another hub sits in that port. Choose another one, or take that hub out.',
            'port_id' => 'This port is no longer in the kit. Choose another one.',
            'ports.required' => 'A hub without a port takes nothing. Add one.',
            'ports.array' => 'The ports were not sent as a list of at most 40.',
            'ports.max' => 'The ports were not sent as a list of at most 40.',
            ...KitRules::empty('ports.*.name', 'The port has no name. Write which one it is, such as 1.'),
            'ports.*.link' => 'The link “:input” is not one of the list. Choose one.',
        ];
    }

    public function save(?string $key, TypedGear $typed): string
    {
        $hub = $key === null ? new Hub() : Hub::query()->where('tag', $key)->firstOrFail();
        $hub
            ->forceFill([
                'tag' => $typed->tag(),
                'name' => $typed->text('name'),
                'uplink' => $typed->text('uplink'),
                'port_id' => $typed->id('port_id'),
                ...$typed->measured(),
            ])
            ->save();
        $hub->ports()->delete();
        foreach ($typed->parts('ports') as $port) {
            $hub->ports()->create(['name' => $port->text('name'), 'link' => $port->text('link')]);
        }

        return $hub->tag;
    }

    public function delete(string $key): void
    {
        Hub::query()->where('tag', $key)->firstOrFail()->delete();
    }

    /** @param  Collection<int, HubPort>  $ports */
    private static function ports(Collection $ports): string
    {
        return $ports->map(fn (HubPort $port): string => "{$port->name} ({$port->link->label()})")->implode(', ');
    }

    /** @return list<KitFieldProps> */
    private static function port(?HubPort $port): array
    {
        return [Field::text('name', 'Port', $port->name ?? '', '1'), Field::link('link', 'Link', $port?->link)];
    }
}
