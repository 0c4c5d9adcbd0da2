<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Gear\ChainBuilder;
use App\Models\Cards\Card;
use App\Models\Kit\Drive;
use App\Models\Kit\Port;
use App\Models\Kit\Reader;
use App\Models\Runs\Run;
use App\Runs\Filing\RunBook;
use DateTimeImmutable;
use Illuminate\Database\Seeder;
use Tally\Measured\Chain;
use Tally\Quantity\Bytes;
use Tally\Quantity\Span;
use Tally\Quantity\Temperature;
use Tally\Reading\Copy\CopyReading;
use Tally\Record\RunKind;
use Tally\Record\TypedReading;

/** What the survey's people wrote into the book of runs themselves. All figures are invented. */
final class DemoRuns extends Seeder
{
    private const WHO = 'Wren, bench A';

    public function run(): void
    {
        $this->copy('QS-015', 'D1', '58.4 GB', 640, laps: ['copied' => '4:13', 'verified' => '5:02'], note: 'wreck of the collier, dive 3');
        $this->copy(
            'QS-014',
            'D1',
            '14.2 GB',
            590,
            laps: ['copied' => '1:09', 'previews' => '4:19'],
            note: 'survey stills, previews in another program',
        );
        $this->typed(
            'QS-044',
            null,
            null,
            [['write', '10 GB', '27.2 s', ''], ['read', '', '', '418 MB/s']],
            note: 'read off the lender’s own sheet',
        );
        $this->typed(
            'QS-049',
            'R2',
            'port 2',
            [['write', '10 GB', '40.1 s', ''], ['read', '10 GB', '35.5 s', '']],
            note: 'from the notebook of bench A',
        );
        $this->typed('QS-042', 'RC', 'port 2', [['read', '6.4 GB', '1:49', '']], note: 'on the boat, over the camera’s own cable');
        $this->typed('QS-043', null, null, [['read', '', '', '2700 MB/s']], note: 'told by who lent it');
        $this->typed('QS-032', 'R3', 'port 3', [['read', '10 GB', '34 s', '317 MB/s']], note: 'from a note on a bag');
        $void = $this->newest('QS-022', RunKind::Speed);
        RunBook::void($void, 'the reader was knocked while it ran', self::WHO);
        $hot = $this->newest('QS-024', RunKind::Sustained);
        foreach (['60 GB' => '36 °C', '180 GB' => '51 °C', '310 GB' => '64 °C'] as $at => $temperature) {
            RunBook::heat($hot, Bytes::parse($at), Temperature::parse($temperature), self::WHO);
        }
        $this->newest('QS-028', RunKind::Speed)
            ->replicate()
            ->forceFill(['beside' => 'QS-027 in the other slot'])
            ->save();
    }

    /** @param  array<string, string>  $laps */
    private function copy(string $tag, string $drive, string $size, int $files, array $laps, string $note): void
    {
        [$card, $reader, $port] = [
            $this->card($tag),
            Reader::query()
                ->with(['slots', 'cable'])
                ->where('tag', 'R2')
                ->firstOrFail(),
            $this->port('port 2'),
        ];
        $copy = CopyReading::of(Bytes::parse($size), $files, array_map(Span::parse(...), $laps));
        RunBook::stopwatch(
            $card,
            $copy,
            ChainBuilder::chainAt($card->label(), $reader, $port) ?? Chain::unnamed(),
            $reader,
            port: $port,
            drive: Drive::query()->where('tag', $drive)->first(),
            on: new DateTimeImmutable('2026-11-19'),
            by: self::WHO,
            note: $note,
        );
    }

    /** @param  non-empty-list<array{string, string, string, string}>  $rows  way, size, time, speed */
    private function typed(string $tag, ?string $reader, ?string $port, array $rows, string $note): void
    {
        $card = $this->card($tag);
        $reader =
            $reader === null
                ? null
                : Reader::query()
                    ->with(['slots', 'cable'])
                    ->where('tag', $reader)
                    ->firstOrFail();
        $port = $port === null ? null : $this->port($port);
        $readings = array_map(
            fn (array $row): TypedReading => TypedReading::parse(array_combine(['way', 'size', 'time', 'speed'], $row)),
            $rows,
        );
        $chain = $reader === null || $port === null ? null : ChainBuilder::chainAt($card->label(), $reader, $port);
        RunBook::typed(
            $card,
            $readings,
            $chain ?? Chain::unnamed(),
            $reader,
            port: $port,
            on: new DateTimeImmutable('2026-11-20'),
            by: self::WHO,
            note: $note,
            beside: null,
        );
    }

    private function card(string $tag): Card
    {
        return Card::query()->where('tag', $tag)->firstOrFail();
    }

    private function port(string $name): Port
    {
        return Port::query()->with('host')->where('name', $name)->firstOrFail();
    }

    private function newest(string $tag, RunKind $kind): Run
    {
        return Run::query()->with('card')->where('card_id', $this->card($tag)->id)->where('kind', $kind)->latest('id')->firstOrFail();
    }
}
