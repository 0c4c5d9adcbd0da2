<?php

declare(strict_types=1);

namespace App\Kit;

use App\Models\Kit\Host;
use App\Models\Kit\Port;
use App\Models\Stations\Station;
use App\Rules\DifferentNames;
use App\Rules\Quantity;
use App\Rules\Text;
use Illuminate\Support\Collection;
use Illuminate\Validation\Rule;
use Tally\Chain\HostLink;
use Tally\Quantity\Span;

/** Hosts and their ports. Ports of one controller share what it carries. */
final readonly class Hosts implements KitSection
{
    public function list(): KitListProps
    {
        return new KitListProps(
            'hosts',
            'Hosts',
            'host',
            array_values(
                Host::query()
                    ->with(['ports', 'stations'])
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
                                    ->concat(self::benches($host))
                                    ->all(),
                            ),
                            ceilings: array_values(
                                $host->ports
                                    ->map(fn (Port $port) => Field::ceiling($port->asLink(), "{$port->name}, {$port->link->label()}"))
                                    ->all(),
                            ),
                            trouble: null,
                        ),
                    )
                    ->all(),
            ),
        );
    }

    /** @return list<string> the first link of what is measured there */
    private static function benches(Host $host): array
    {
        return array_values(
            $host->stations
                ->filter(fn (Station $station): bool => $station->instrument() !== null)
                ->map(fn (Station $station): string => "{$station->name}: {$station->instrument()?->words()}")
                ->all(),
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
                fields: [
                    Field::text('name', 'What it is called', $host->name ?? '', 'cart tower'),
                    Field::figures('preview_files', 'Import with previews: files', (string) $host?->preview_files, '552'),
                    Field::figures('preview_time', 'It took', self::took($host?->preview_seconds), '4:00'),
                    Field::text('preview_how', 'Timed how', $host->preview_how ?? '', 'which card, which program, which day'),
                ],
                parts: new KitPartsProps(
                    'ports',
                    'Ports',
                    'port',
                    self::port(null),
                    rows: $host === null
                        ? [new KitRowProps(0, self::port(null))]
                        : array_values(
                            $host->ports->map(fn (Port $port): KitRowProps => new KitRowProps($port->id, self::port($port)))->all(),
                        ),
                ),
            );
    }

    public function rules(?string $key): array
    {
        return [
            'name' => [...KitRules::name(60), Rule::unique('hosts', 'name')->ignore($key)],
            'preview_files' => ['bail', 'nullable', 'required_with:preview_time', 'integer', 'min:1', 'max:10000000'],
            'preview_time' => ['bail', 'nullable', 'required_with:preview_files', Quantity::span()],
            'preview_how' => ['bail', 'nullable', 'required_with:preview_files', Text::upTo(120)],
            'ports' => ['array', 'max:40', new DifferentNames('Two ports have the same name. Tell them apart.')],
            'ports.*.id' => ['nullable', 'integer'],
            'ports.*.name' => KitRules::name(60),
            'ports.*.link' => KitRules::link(),
            'ports.*.controller' => ['nullable', Text::upTo(60)],
            ...KitRules::measured('ports.*.'),
        ];
    }

    public function messages(): array
    {
        return [
            ...KitRules::empty('name', 'The name is empty. Write what the host is called.'),
            'name.unique' => 'Another host is called “:input” already. Choose another name.',
            'preview_files.required_with' => 'How many files the import was of is empty. Count them, such as 552.',
            'preview_files' => 'The files of the import were “:input”: give a whole number, such as 552.',
            'preview_time.required_with' => 'How long the import took is empty. Write it as 4:00.',
            'preview_how.required_with' => 'Say which import was timed: a figure without that is no measurement.',
            'ports.array' => 'The ports were not sent as a list of at most 40.',
            'ports.max' => 'The ports were not sent as a list of at most 40.',
            'ports.*.id' => 'Which port this was is not a number. Load the page again.',
            ...KitRules::empty('ports.*.name', 'The port has no name. Write which one it is, such as left.'),
            'ports.*.link' => 'The link “:input” is not one of the list. Choose one.',
        ];
    }

    public function save(?string $key, TypedGear $typed): string
    {
        $host = $key === null ? new Host() : Host::query()->findOrFail((int) $key);
        $files = $typed->id('preview_files');
        $host
            ->forceFill([
                'name' => $typed->text('name'),
                'preview_files' => $files,
                'preview_seconds' => $files === null ? null : Span::parse($typed->text('preview_time'))->seconds,
                'preview_how' => $files === null ? null : $typed->text('preview_how'),
            ])
            ->save();
        $ports = $typed->parts('ports');
        // Ports keep their number in the books: slots of stations hang on them.
        $host->ports()->whereKeyNot(array_map(fn (TypedGear $port): ?int => $port->id('id'), $ports))->delete();
        foreach ($ports as $one) {
            $port = $host->ports()->find($one->id('id')) ?? new Port(['host_id' => $host->id]);
            $port
                ->forceFill([
                    'name' => $one->text('name'),
                    'link' => $one->text('link'),
                    'controller' => $one->text('controller') === '' ? 'controller 1' : $one->text('controller'),
                    ...$one->measured(),
                ])
                ->save();
        }

        return (string) $host->id;
    }

    public function delete(string $key): void
    {
        $host = Host::query()->findOrFail((int) $key);
        $host->ports()->delete();
        $host->delete();
    }

    private static function took(?float $seconds): string
    {
        return $seconds === null ? '' : "{$seconds} s";
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
