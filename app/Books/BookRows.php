<?php

declare(strict_types=1);

namespace App\Books;

use App\Models\Runs\Run;
use App\Models\When;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Tally\Buying\Price;
use Tally\Quantity\Rate;
use Tally\Reading\Summary;

/** The rows of a book, one after the other, so that a large house takes no more memory than a small one. */
final readonly class BookRows
{
    private const SLICE = 500;

    /** What is words even where it is made of figures. */
    private const WORDS = [
        'tag', 'name', 'card', 'serial', 'lot', 'label', 'reader', 'camera', 'drive', 'line', 'note', 'mode', 'value', 'why', 'by',
        'person', 'offload', 'shoot', 'place', 'seller', 'path', 'model', 'host', 'port', 'message', 'source', 'retired_why', 'due_why',
        'recorded_by', 'station', 'answer', 'question', 'withdrawn',
    ];

    /** @return iterable<array<string, int|float|string|bool|null>> by column */
    public static function of(Book $book, Pick $pick): iterable
    {
        if ($book === Book::Runs) {
            yield from self::runs($pick);

            return;
        }
        [$query, $id, $day] = self::query($book);
        if ($book->isOfCards()) {
            $pick->ofCards($query);
        }
        if ($day !== null) {
            $pick->ofDays($query, $day);
        }
        foreach ($query->lazyById(self::SLICE, $id, 'row_id') as $row) {
            $row = (array) $row;
            $out = [];
            foreach ($book->columns() as $column) {
                $out[$column] = $column === 'price' ? self::price($row) : self::plain($column, $row[$column] ?? null);
            }
            yield $out;
        }
    }

    /** @return array{Builder, string, string|null} with its columns; the column of its id; and of the day on which it happened */
    private static function query(Book $book): array
    {
        $of = fn (string $table, string $select): Builder => DB::table($table)
            ->join('cards', 'cards.id', '=', "{$table}.card_id")
            ->selectRaw("{$table}.id as row_id, cards.tag as card, {$select}");
        $plain = fn (string $table, string $select): Builder => DB::table($table)->selectRaw("{$table}.id as row_id, {$select}");

        return match ($book) {
            Book::Cards => [
                DB::table('cards')->selectRaw('cards.id as row_id, cards.*, cards.line as label, cards.created_at as entered_at'),
                'cards.id',
                'cards.created_at',
            ],
            Book::Inspections => [
                $of('inspections', 'question, answer, readers.tag as reader, seen_by as `by`, withdrawn, inspections.created_at as at')
                    ->leftJoin('readers', 'readers.id', '=', 'inspections.reader_id'),
                'inspections.id',
                'inspections.created_at',
            ],
            Book::Incidents => [
                $of('incidents', 'kind, note as line, readers.tag as reader, cameras.tag as camera, incidents.recorded_by as `by`, '.
                    'happened_at, incidents.created_at as written_at')
                    ->leftJoin('readers', 'readers.id', '=', 'incidents.reader_id')
                    ->leftJoin('cameras', 'cameras.id', '=', 'incidents.camera_id'),
                'incidents.id',
                'incidents.happened_at',
            ],
            Book::Footage => [
                $of('footage_acts', 'bytes, files, note, footage_acts.recorded_by as `by`, footage_acts.created_at as at'),
                'footage_acts.id',
                'footage_acts.created_at',
            ],
            Book::Copies => [
                DB::table('offload_copies')
                    ->join('offload_cards', 'offload_cards.id', '=', 'offload_copies.offload_card_id')
                    ->join('cards', 'cards.id', '=', 'offload_cards.card_id')
                    ->join('offloads', 'offloads.id', '=', 'offload_cards.offload_id')
                    ->selectRaw(
                        'offload_copies.id as row_id, offloads.name as offload, cards.tag as card, drive, nth as copy, '.
                        'offload_copies.state, bytes, offload_cards.files, copied_at, verified_at, message, is_made_up as made_up',
                    ),
                'offload_copies.id',
                'offloads.began_at',
            ],
            Book::Bursts => [
                $of('bursts', 'cameras.tag as camera, frames, frame, per_second as frames_per_second, clear as clear_seconds, `by`, '.
                    'logged_at as at')->join('cameras', 'cameras.id', '=', 'bursts.camera_id'),
                'bursts.id',
                'bursts.logged_at',
            ],
            Book::Shoots => [
                $of('shoot_cards', 'shoots.name as shoot, begins, days, place, shoots.recorded_by as `by`')
                    ->join('shoots', 'shoots.id', '=', 'shoot_cards.shoot_id'),
                'shoot_cards.id',
                'shoots.begins',
            ],
            Book::Erasures => [
                DB::table('erasures')
                    ->leftJoin('cards', 'cards.id', '=', 'erasures.card_id')
                    ->selectRaw('erasures.id as row_id, cards.tag as card, what, path, bytes, person, station, why, erased_at as at'),
                'erasures.id',
                'erasures.erased_at',
            ],
            Book::Prices => [
                $plain('price_quotes', 'model, form, tier, capacity, price, currency, quoted_on, source, recorded_by as `by`'),
                'price_quotes.id',
                'price_quotes.quoted_on',
            ],
            Book::Readers => [
                $plain('readers', 'tag, name, uplink, camera as is_camera, measured, measured_how, recorded_by as `by`'),
                'readers.id',
                null,
            ],
            Book::Drives => [
                $plain('drives', 'tag, name, link, `write`, `read`, capacity, free, measured_how, recorded_by as `by`'),
                'drives.id',
                null,
            ],
            Book::Hosts => [
                $plain('ports', 'hosts.name as host, ports.name as port, link, measured, measured_how')
                    ->join('hosts', 'hosts.id', '=', 'ports.host_id'),
                'ports.id',
                null,
            ],
            Book::Modes => [
                $plain('camera_modes', 'cameras.tag as camera, camera_modes.name as mode, kind, writes, shot, '.
                    'frames as frames_per_second, asks_mark, refuses, records, proxy_writes')
                    ->join('cameras', 'cameras.id', '=', 'camera_modes.camera_id'),
                'camera_modes.id',
                null,
            ],
            Book::Rules => [
                DB::table('house_rules')->selectRaw('name as row_id, name, value, `by`, why, changed_at'),
                'house_rules.name',
                'house_rules.changed_at',
            ],
            Book::Runs => [DB::table('runs'), 'runs.id', 'runs.started_at'],
        };
    }

    /** @param  array<mixed>  $row */
    private static function price(array $row): ?string
    {
        [$minor, $currency] = [$row['price'] ?? null, $row['currency'] ?? null];

        return is_int($minor) && is_string($currency) ? Price::of($minor, $currency)->printAmount() : null;
    }

    /** What a program expects: yes and no as such, figures as figures, lists of the books as words. */
    private static function plain(string $column, mixed $value): int|float|string|bool|null
    {
        return match (true) {
            $value === null => null,
            in_array($column, ['is_camera', 'refuses', 'made_up'], true) => (bool) $value,
            $column === 'marks' => implode(' ', self::words($value)),
            is_int($value), is_float($value) => $value,
            ! is_string($value) => null,
            ! is_numeric($value) || in_array($column, self::WORDS, true) => $value,
            default => str_contains($value, '.') ? (float) $value : (int) $value,
        };
    }

    /** @return list<string> */
    private static function words(mixed $json): array
    {
        return array_values(array_filter((array) json_decode(is_string($json) ? $json : '', true), is_string(...)));
    }

    /** @return iterable<array<string, int|float|string|bool|null>> */
    private static function runs(Pick $pick): iterable
    {
        $query = Run::query()
            ->select('runs.*')
            ->with(['station', 'void', 'card'])
            ->join('cards', 'cards.id', '=', 'runs.card_id');
        $pick->ofCards($query->getQuery());
        $pick->ofDays($query->getQuery(), 'runs.started_at');
        foreach ($query->lazyById(self::SLICE, 'runs.id', 'id') as $run) {
            yield self::run($run);
        }
    }

    /** @param  list<float>  $rates */
    private static function median(array $rates): ?float
    {
        return $rates === [] ? null : Summary::of($rates)->median;
    }

    /** @return array<string, int|float|string|bool|null> */
    private static function run(Run $run): array
    {
        $speeds = $run->speeds();
        $proof = $run->proof();
        $long = $run->sustained();
        $rate = fn (?Rate $rate): ?float => $rate?->bytesPerSecond;
        $day = fn (?Carbon $at): ?string => $at?->utc()->format(When::ISO_MOMENT);

        return [
            'run' => $run->id,
            'card' => $run->card->tag,
            'kind' => $run->kind->value,
            'state' => $run->state->value,
            'station' => $run->station?->name,
            'chain' => $run->chain->describe(),
            'source' => $run->source->value,
            'void' => $run->void?->reason,
            'beside' => $run->beside,
            'region' => $speeds?->region->count,
            'write' => self::median($speeds->writes ?? []) ?? $rate($long?->write->rate()) ?? $rate($proof?->write->rate()),
            'read' => self::median($speeds->reads ?? []) ?? $rate($proof?->read->rate()),
            'lowest' => $rate($long?->course->floor) ?? $rate($proof?->course?->floor),
            'written' => $proof?->write->bytes->count ?? $long?->write->bytes->count,
            'read_back' => $proof?->read->bytes->count,
            'wrong' => $proof?->bad()->count,
            'condition' => $proof?->diagnosis->condition->value,
            'capacity' => $proof?->diagnosis->capacity->count,
            'reinserted' => $proof?->reinserted,
            'recorded_by' => $run->recorded_by,
            'started_at' => $day($run->started_at),
            'ended_at' => $day($run->ended_at),
        ];
    }
}
