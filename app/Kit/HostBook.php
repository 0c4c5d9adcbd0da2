<?php

declare(strict_types=1);

namespace App\Kit;

use App\Models\Kit\Host;
use App\Models\Kit\Port;
use App\Props\Kit\KitFieldProps;
use App\Props\Kit\KitFormProps;
use App\Props\Kit\KitItemProps;
use App\Props\Kit\KitListProps;
use App\Props\Kit\KitPartsProps;
use App\Props\Kit\KitRowProps;
use Illuminate\Support\Collection;
use Tally\Chain\HostLink;

/** Hosts and their ports. Ports of one controller share what it carries. */
final readonly class HostBook implements Book
{
    public function list(): KitListProps
    {
        return new KitListProps(
            'hosts',
            'Hosts',
            'host',
            array_values(
                Host::query()
                    ->with('ports')
                    ->orderBy('name')
                    ->get()
                    ->map(
                        fn (Host $host): KitItemProps => new KitItemProps(
                            (string) $host->id,
                            $host->name,
                            '',
                            array_values(
                                $host->ports
                                    ->groupBy('controller')
                                    ->map(
                                        fn (Collection $ports, string $controller): string => "{$controller}: ".
                                            $ports->pluck('name')->implode(', ').
                                            ($ports->count() > 1 ? ' share it' : ''),
                                    )
                                    ->all(),
                            ),
                            array_values(
                                $host->ports
                                    ->map(fn (Port $port) => Field::ceiling($port->asLink(), "{$port->name}, {$port->link->label()}"))
                                    ->all(),
                            ),
                            0,
                        ),
                    )
                    ->all(),
            ),
        );
    }

    public function form(?string $key): ?KitFormProps
    {
        $host = $key === null ? null : Host::query()->with('ports')->find((int) $key);

        return $key !== null && $host === null
            ? null
            : new KitFormProps(
                'hosts',
                'host',
                $host === null ? null : (string) $host->id,
                $host->name ?? 'A new host',
                [Field::text('name', 'What it is called', $host->name ?? '', 'cart tower')],
                new KitPartsProps(
                    'ports',
                    'Ports',
                    'port',
                    self::port(null),
                    $host === null
                        ? [new KitRowProps(0, self::port(null))]
                        : array_values(
                            $host->ports->map(fn (Port $port): KitRowProps => new KitRowProps($port->id, self::port($port)))->all(),
                        ),
                ),
            );
    }

    public function save(?string $key, Input $input): string
    {
        $host = $key === null ? new Host() : Host::query()->findOrFail((int) $key);
        $name = $input->text('name', 60, 'The name is empty. Write what the host is called.');
        if (
            $name !== '' &&
            Host::query()->where('name', $name)->when($host->exists, fn ($query) => $query->whereKeyNot($host->id))->exists()
        ) {
            $input->wrong('name', "Another host is called “{$name}” already. Choose another name.");
        }
        $ports = [];
        foreach ($input->parts('ports') as $part) {
            $ports[] = [
                $part->id(),
                [
                    'name' => $part->text('name', 60, 'The port has no name. Write which one it is, such as left.'),
                    'link' => $part->link('link'),
                    'controller' => ($controller = $part->text('controller', 60)) === '' ? 'controller 1' : $controller,
                    ...$part->measured(),
                ],
            ];
            $input->takeErrorsOf($part);
        }
        $names = array_map(fn (array $port): string => $port[1]['name'], $ports);
        if (count(array_unique($names)) !== count($names)) {
            $input->wrong('ports', 'Two ports have the same name. Tell them apart.');
        }
        $input->check();
        $host->forceFill(['name' => $name])->save();
        $this->keepPorts($host, $ports);

        return (string) $host->id;
    }

    public function delete(string $key): void
    {
        $host = Host::query()->findOrFail((int) $key);
        $host->ports()->delete();
        $host->delete();
    }

    /**
     * Ports keep their number in the books: slots of stations hang on them.
     *
     * @param  list<array{int, array<string, mixed>}>  $ports
     */
    private function keepPorts(Host $host, array $ports): void
    {
        $host->ports()->whereKeyNot(array_map(fn (array $port): int => $port[0], $ports))->delete();
        foreach ($ports as [$id, $columns]) {
            $port = $host->ports()->find($id) ?? new Port(['host_id' => $host->id]);
            $port->forceFill($columns)->save();
        }
    }

    /** @return list<KitFieldProps> */
    private static function port(?Port $port): array
    {
        return [
            Field::text('name', 'Port', $port->name ?? '', 'left'),
            Field::link('link', 'Link', $port->link ?? HostLink::UsbGen1),
            Field::text('controller', 'Controller', $port->controller ?? '', 'the same word is shared'),
            ...Field::measured($port?->measured, $port?->measured_how),
        ];
    }
}
