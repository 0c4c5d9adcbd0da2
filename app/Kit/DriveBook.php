<?php

declare(strict_types=1);

namespace App\Kit;

use App\Models\Kit\Drive;
use App\Models\Kit\Host;
use App\Props\Kit\KitFieldProps;
use App\Props\Kit\KitFormProps;
use App\Props\Kit\KitItemProps;
use App\Props\Kit\KitListProps;
use App\Props\Label\ChoiceProps;
use Tally\Chain\Ceiling;
use Tally\Chain\Link;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;

/** Drives: link, steady speeds, a fast cache that runs out, whether they spin, and room. */
final readonly class DriveBook implements Book
{
    public function list(): KitListProps
    {
        return new KitListProps(
            'drives',
            'Drives',
            'drive',
            array_values(
                Drive::query()
                    ->with('host')
                    ->orderBy('tag')
                    ->get()
                    ->map(
                        fn (Drive $drive): KitItemProps => new KitItemProps(
                            $drive->tag,
                            $drive->tag,
                            $drive->name,
                            self::lines($drive),
                            [
                                Field::ceiling($drive->asLink()),
                                Field::ceiling(
                                    new Link('steady writing', Ceiling::claimed(Rate::bytesPerSecond($drive->write), 'its owner’s figure')),
                                ),
                                Field::ceiling(
                                    new Link('reading', Ceiling::claimed(Rate::bytesPerSecond($drive->read), 'its owner’s figure')),
                                ),
                            ],
                            0,
                        ),
                    )
                    ->all(),
            ),
        );
    }

    public function form(?string $key): ?KitFormProps
    {
        $drive = $key === null ? null : Drive::query()->where('tag', $key)->first();
        $hosts = array_values(
            Host::query()
                ->orderBy('name')
                ->get()
                ->map(fn (Host $host): ChoiceProps => new ChoiceProps((string) $host->id, $host->name, []))
                ->all(),
        );

        return $key !== null && $drive === null
            ? null
            : new KitFormProps(
                'drives',
                'drive',
                $drive?->tag,
                $drive === null ? 'A new drive' : "{$drive->tag} {$drive->name}",
                [
                    Field::figures('tag', 'Tag', $drive->tag ?? '', 'D7'),
                    Field::text('name', 'What it is', $drive->name ?? '', 'maker and model'),
                    Field::link('link', 'Link', $drive?->link),
                    new KitFieldProps(
                        'host_id',
                        'Built into',
                        'choice',
                        [(string) $drive?->host_id],
                        $hosts,
                        none: 'none: it is plugged in',
                    ),
                    new KitFieldProps(
                        'spinning',
                        'Kind',
                        'choice',
                        [$drive?->spinning === true ? '1' : '0'],
                        [new ChoiceProps('0', 'no moving parts', []), new ChoiceProps('1', 'spinning', [])],
                    ),
                    Field::rate('write', 'Steady write', $drive?->write, '880 MB/s'),
                    Field::rate('read', 'Read', $drive?->read, '960 MB/s'),
                    Field::size('cache', 'Fast cache, if any', $drive?->cache, '40 GB'),
                    Field::rate('cache_write', 'Write while it lasts', $drive?->cache_write, '960 MB/s'),
                    Field::size('capacity', 'Capacity', $drive?->capacity, '1 TB'),
                    Field::size('free', 'Free now', $drive?->free, '640 GB'),
                    ...Field::measured($drive?->measured, $drive?->measured_how),
                ],
                null,
            );
    }

    public function save(?string $key, Input $input): string
    {
        $drive = $key === null ? new Drive() : Drive::query()->where('tag', $key)->firstOrFail();
        $host = $input->text('host_id', 20);
        if ($host !== '' && ! Host::query()->whereKey((int) $host)->exists()) {
            $input->wrong('host_id', 'This host is no longer in the kit. Choose another one.');
        }
        $columns = [
            'tag' => $input->tag(Drive::class, $key),
            'name' => $input->text('name', 80, 'The name is empty. Write what it is, such as its maker and model.'),
            'link' => $input->link('link'),
            'host_id' => $host === '' ? null : (int) $host,
            'spinning' => $input->text('spinning', 1) === '1',
            'write' => $input->rate('write', 'The steady write is empty. Write what it keeps up once its cache is full, such as 880 MB/s.'),
            'read' => $input->rate('read', 'The read is empty. Write how fast it reads, such as 960 MB/s.'),
            'cache' => $input->size('cache'),
            'cache_write' => $input->rate('cache_write'),
            'capacity' => $input->size('capacity'),
            'free' => $input->size('free', 'The free space is empty. Write how much is free now, such as 640 GB.'),
            ...$input->measured(),
        ];
        if (is_int($columns['capacity']) && is_int($columns['free']) && $columns['free'] > $columns['capacity']) {
            $input->wrong(
                'free',
                Bytes::of($columns['free'])->decimal().
                    ' cannot be free on a drive of '.
                    Bytes::of($columns['capacity'])->decimal().
                    '.',
            );
        }
        if (($columns['cache'] === null) !== ($columns['cache_write'] === null)) {
            $input->wrong($columns['cache'] === null ? 'cache' : 'cache_write', 'A cache has a size and a speed. Give both, or neither.');
        }
        $input->check();
        $drive->forceFill($columns)->save();

        return $drive->tag;
    }

    public function delete(string $key): void
    {
        Drive::query()->where('tag', $key)->firstOrFail()->delete();
    }

    /** @return list<string> */
    private static function lines(Drive $drive): array
    {
        $of = $drive->capacity === null ? '' : ' of '.Bytes::of($drive->capacity)->decimal();

        return array_values(
            array_filter(
                [
                    Bytes::of($drive->free)->decimal()."{$of} free".($drive->host === null ? '' : ", inside {$drive->host->name}"),
                    $drive->spinning ? 'spinning: two streams at once cost it dear' : null,
                    $drive->cache === null || $drive->cache_write === null
                        ? null
                        : 'first '.
                            Bytes::of($drive->cache)->decimal().
                            ' at '.
                            Rate::bytesPerSecond($drive->cache_write)->print().
                            ', then steady',
                ],
                fn (?string $line): bool => $line !== null,
            ),
        );
    }
}
