<?php

declare(strict_types=1);

namespace App\Kit;

use App\Models\Kit\Drive;
use App\Models\Kit\Host;
use App\Models\Offload\OffloadCopy;
use App\Offload\Carrying\Standing;
use App\Rules\NotMoreThan;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;
use Tally\Chain\Ceiling;
use Tally\Chain\Link;
use Tally\Offload\Question\DriveKind;

/** Drives: link, steady speeds, a fast cache that runs out, whether they spin, and room. */
final readonly class Drives implements KitSection
{
    public function list(): KitListProps
    {
        $wrong = DriveRecord::sentences();

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
                            ceilings: [
                                Field::ceiling($drive->asLink()),
                                Field::ceiling(
                                    new Link('steady writing', Ceiling::claimed($drive->write, 'its owner’s figure')),
                                ),
                                Field::ceiling(
                                    new Link('reading', Ceiling::claimed($drive->read, 'its owner’s figure')),
                                ),
                            ],
                            trouble: $wrong[$drive->tag] ?? null,
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
                fields: [
                    Field::figures('tag', 'Tag', $drive->tag ?? '', 'D7'),
                    Field::text('name', 'What it is', $drive->name ?? '', 'maker and model'),
                    Field::link('link', 'Link', $drive?->link),
                    new KitFieldProps(
                        'host_id',
                        'Built into',
                        'choice',
                        [(string) $drive?->host_id],
                        choices: $hosts,
                        none: 'none: it is plugged in',
                    ),
                    new KitFieldProps(
                        'kind',
                        'Kind',
                        'choice',
                        [($drive->kind ?? DriveKind::Solid)->value],
                        choices: array_map(
                            fn (DriveKind $kind): ChoiceProps => new ChoiceProps($kind->value, $kind->words(), []),
                            DriveKind::cases(),
                        ),
                    ),
                    Field::rate('write', 'Steady write', $drive?->write, '880 MB/s'),
                    Field::rate('read', 'Read', $drive?->read, '960 MB/s'),
                    Field::size('cache', 'Fast cache, if any', $drive?->cache, '40 GB'),
                    Field::rate('cache_write', 'Write while it lasts', $drive?->cache_write, '960 MB/s'),
                    Field::size('capacity', 'Capacity', $drive?->capacity, '1 TB'),
                    Field::size('free', 'Free now', $drive?->free, '640 GB'),
                    ...Field::measured($drive?->measured, $drive?->measured_how),
                ],
                parts: null,
            );
    }

    public function rules(?string $key): array
    {
        return [
            'tag' => KitRules::tag('drives', $key),
            'name' => KitRules::name(),
            'link' => KitRules::link(),
            'host_id' => ['bail', 'nullable', 'integer', 'exists:hosts,id'],
            'kind' => ['bail', 'nullable', Rule::enum(DriveKind::class)],
            'write' => KitRules::rate('required'),
            'read' => KitRules::rate('required'),
            'cache' => KitRules::size('nullable', 'required_with:cache_write', 'required_if:kind,cached'),
            'cache_write' => KitRules::rate('nullable', 'required_with:cache'),
            'capacity' => KitRules::size(),
            'free' => [...KitRules::size('required'), new NotMoreThan('capacity', 'cannot be free on a drive of')],
            ...KitRules::measured(),
        ];
    }

    public function messages(): array
    {
        return [
            ...KitRules::empty('name', 'The name is empty. Write what it is, such as its maker and model.'),
            'link' => 'The link “:input” is not one of the list. Choose one.',
            'host_id' => 'This host is no longer in the kit. Choose another one.',
            'kind' => 'The kind of drive was “:input”. Choose one of the list.',
            'write.required' => 'The steady write is empty. Write what it keeps up once its cache is full, such as 880 MB/s.',
            'read.required' => 'The read is empty. Write how fast it reads, such as 960 MB/s.',
            'cache.required_if' => 'A cached drive has a cache. Give its size and its speed, or choose “no moving parts”.',
            'cache.required_with' => 'A cache has a size and a speed. Give both, or neither.',
            'cache_write.required_with' => 'A cache has a size and a speed. Give both, or neither.',
            'free.required' => 'The free space is empty. Write how much is free now, such as 640 GB.',
        ];
    }

    public function save(?string $key, TypedGear $typed): string
    {
        $drive = $key === null ? new Drive() : Drive::query()->where('tag', $key)->firstOrFail();
        if ($key !== null && $typed->tag() !== $key && OffloadCopy::query()->where('drive', $key)->exists()) {
            throw ValidationException::withMessages([
                'tag' => "Copies of cards are in the books on {$key}, and are found by that tag. Leave it, or enter this as another drive.",
            ]);
        }
        $drive
            ->forceFill([
                'tag' => $typed->tag(),
                'name' => $typed->text('name'),
                'link' => $typed->text('link'),
                'host_id' => $typed->id('host_id'),
                'kind' => DriveKind::of(DriveKind::tryFrom($typed->text('kind')) ?? DriveKind::Solid, $typed->size('cache') !== null),
                'write' => $typed->rate('write'),
                'read' => $typed->rate('read'),
                'cache' => $typed->size('cache'),
                'cache_write' => $typed->rate('cache_write'),
                'capacity' => $typed->size('capacity'),
                'free' => $typed->size('free'),
                ...$typed->measured(),
            ])
            ->save();

        return $drive->tag;
    }

    public function delete(string $key): void
    {
        Drive::query()->where('tag', $key)->firstOrFail()->delete();
        // Nobody here knows any more where it is.
        Standing::doubt($key, "{$key} was taken out of the kit", 'the kit');
    }

    /** @return list<string> */
    private static function lines(Drive $drive): array
    {
        $of = $drive->capacity === null ? '' : ' of '.$drive->capacity->decimal();

        return array_values(
            array_filter(
                [
                    $drive->free->decimal()."{$of} free".($drive->host === null ? '' : ", inside {$drive->host->name}"),
                    $drive->kind->caution(),
                    $drive->cache === null || $drive->cache_write === null
                        ? null
                        : 'first '.
                            $drive->cache->decimal().
                            ' at '.
                            $drive->cache_write->print().
                            ', then steady',
                ],
                fn (?string $line): bool => $line !== null,
            ),
        );
    }
}
